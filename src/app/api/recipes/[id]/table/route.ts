import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { getAdaptation, requireRecipe, saveTable } from "@/server/recipes/recipes";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Props) =>
  answer(request, async () => {
    const { id } = await params;
    const { recipe } = await requireRecipe(id);
    return Response.json((await getAdaptation(id, recipe)).table);
  });

export const PUT = (request: Request, { params }: Props) =>
  answer(request, async () => Response.json({ revision: await saveTable((await params).id, await readJson(request)) }));
