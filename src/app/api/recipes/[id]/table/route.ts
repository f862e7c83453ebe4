import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveTable } from "@/server/recipes/recipes";

export const PUT = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => Response.json({ revision: await saveTable((await params).id, await readJson(request)) }));
