import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { startTriangle } from "@/server/taste/triangles";

export const POST = (request: Request) =>
  answer(request, async () => {
    const { id } = await startTriangle(await readJson(request));
    return Response.json({ id }, { status: 201 });
  });
