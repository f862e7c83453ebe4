import { answer } from "@/server/http/answer";
import { undoStockMove } from "@/server/kitchen/stock";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await undoStockMove((await params).id);
    return new Response(null, { status: 204 });
  });
