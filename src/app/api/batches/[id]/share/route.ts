import { answer } from "@/server/http/answer";
import { shareSweet } from "@/server/keep/share";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) =>
  answer(request, async () => shareSweet("batches", (await params).id, new URL(request.url).searchParams));
