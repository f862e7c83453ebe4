import { stockOfBatch } from "@/server/cook/taken-stock";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) => answer(request, async () => Response.json(await stockOfBatch((await params).id)));
