import { answer, checked, readJson } from "@/server/door";
import { validateKeep } from "@/server/schemas";
import { keepVersion } from "@/server/versions";

export const POST = (request: Request) =>
  answer(request, async () => {
    const { recipeId, bench } = checked(validateKeep, await readJson(request));
    return Response.json({ id: await keepVersion(recipeId, bench) }, { status: 201 });
  });
