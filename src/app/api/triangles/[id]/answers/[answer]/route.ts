import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveSaw } from "@/server/taste/triangles";

interface Context {
  readonly params: Promise<{ readonly id: string; readonly answer: string }>;
}

/** Notes whether who answered saw the codes. */
export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => {
    const { id, answer: of } = await params;
    await saveSaw(id, of, await readJson(request));
    return new Response(null, { status: 204 });
  });
