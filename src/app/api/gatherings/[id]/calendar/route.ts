import { answer } from "@/server/http/answer";
import { calendarOf } from "@/server/plan/calendar";

export const POST = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => calendarOf((await params).id, request.signal));
