import { remove } from "@/server/data/deleted";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { requireRecipe, saveRecipe } from "@/server/recipes/recipes";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) =>
  answer(request, async () => {
    const { id, recipe } = await requireRecipe((await params).id);
    return Response.json({ id, recipe });
  });

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json({ revision: await saveRecipe((await params).id, await readJson(request)) }));

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await remove("recipe", (await params).id);
    return new Response(null, { status: 204 });
  });
