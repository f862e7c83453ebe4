import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveTriangleAnswer } from "@/server/taste/triangles";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await saveTriangleAnswer((await params).id, await readJson(request));
    return new Response(null, { status: 204 });
  });
