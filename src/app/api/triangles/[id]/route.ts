import { answer } from "@/server/http/answer";
import { removeTriangle } from "@/server/taste/triangles";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await removeTriangle((await params).id);
    return new Response(null, { status: 204 });
  });
