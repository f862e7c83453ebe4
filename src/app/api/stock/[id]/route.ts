import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveStock } from "@/server/kitchen/stock";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json({ revision: await saveStock((await params).id, await readJson(request)) }));
