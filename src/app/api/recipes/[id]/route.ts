import { answer, checked, readJson } from "@/server/door";
import { removeRecipe, saveRecipe } from "@/server/recipes";
import { validateRecipeSave } from "@/server/schemas";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const { recipe, revision } = checked(validateRecipeSave, await readJson(request));
    return Response.json({ revision: await saveRecipe((await params).id, recipe, revision) });
  });

export const DELETE = (_: Request, { params }: Context) =>
  answer(async () => {
    await removeRecipe((await params).id);
    return new Response(null, { status: 204 });
  });
