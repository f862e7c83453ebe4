import { answer, checked, readJson } from "@/server/door";
import { createRecipe } from "@/server/recipes";
import { validatePaste } from "@/server/schemas";

export const POST = (request: Request) =>
  answer(request, async () => Response.json({ id: await createRecipe(checked(validatePaste, await readJson(request)).text) }, { status: 201 }));
