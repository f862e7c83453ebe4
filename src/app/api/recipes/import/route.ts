import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { importRecipes, MOST_IMPORT_BYTES } from "@/server/recipes/exchange";

export const POST = (request: Request) =>
  answer(request, async () => Response.json({ ids: await importRecipes(await readJson(request, MOST_IMPORT_BYTES)) }, { status: 201 }));
