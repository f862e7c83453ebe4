import { restore } from "@/server/data/deleted";
import { answer } from "@/server/http/answer";

export const POST = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => {
    await restore("gathering", (await params).id);
    return new Response(null, { status: 204 });
  });
