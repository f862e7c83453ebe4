import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { moveStock } from "@/server/kitchen/stock";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json({ left: await moveStock((await params).id, await readJson(request)) }));
