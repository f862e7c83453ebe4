import { answer } from "@/server/http/answer";
import { markNoticeRead } from "@/server/data/notices";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => {
    markNoticeRead((await params).id);
    return new Response(null, { status: 204 });
  });
