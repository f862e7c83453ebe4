import { saveShade } from "@/server/cook/photos";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await saveShade((await params).id, request);
    return new Response(null, { status: 204 });
  });
