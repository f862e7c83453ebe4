import { answer } from "@/server/http/answer";
import { removeTasting } from "@/server/taste/tastings";

interface Context {
  readonly params: Promise<{ readonly id: string; readonly tasting: string }>;
}

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    const { id, tasting } = await params;
    await removeTasting(id, tasting);
    return new Response(null, { status: 204 });
  });
