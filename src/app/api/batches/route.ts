import { startBatch } from "@/server/cook/batches";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { checked } from "@/server/http/checked";
import { validateStart } from "@/server/http/schemas/cook";

export const POST = (request: Request) =>
  answer(request, async () => {
    const { recipeId, versionId } = checked(validateStart, await readJson(request));
    return Response.json({ id: await startBatch(recipeId, versionId) }, { status: 201 });
  });
