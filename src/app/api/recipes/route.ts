import { answer } from "@/server/http/answer";
import { checked } from "@/server/http/checked";
import { readJson } from "@/server/http/body";
import { createRecipe, recipeTitles } from "@/server/recipes/recipes";
import { validatePaste } from "@/server/http/schemas/documents";

export const POST = (request: Request) =>
  answer(request, async () => Response.json({ id: await createRecipe(checked(validatePaste, await readJson(request)).text, request.signal) }, { status: 201 }));

/** Recipes whose name or foods hold the words asked for, a few of them. */
export const GET = (request: Request) => answer(request, async () => Response.json(await recipeTitles(new URL(request.url).searchParams.get("search") ?? "")));
