import { answer, readJson } from "@/server/http/door";
import { saveTable } from "@/server/recipes/recipes";

export const PUT = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => Response.json({ revision: await saveTable((await params).id, await readJson(request)) }));
