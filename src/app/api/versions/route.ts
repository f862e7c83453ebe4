import { answer } from "@/server/http/answer";
import { checked } from "@/server/http/checked";
import { readJson } from "@/server/http/body";
import { validateKeep } from "@/server/http/schemas/documents";
import { keepVersion } from "@/server/versions/versions";

export const POST = (request: Request) =>
  answer(request, async () => {
    const { recipeId, bench, notFor, portion } = checked(validateKeep, await readJson(request));
    return Response.json({ id: await keepVersion(recipeId, bench, notFor, portion) }, { status: 201 });
  });
