import { remove } from "@/server/data/deleted";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await remove("batch", (await params).id);
    return new Response(null, { status: 204 });
  });
