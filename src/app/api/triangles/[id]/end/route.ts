import { answer } from "@/server/http/answer";
import { endTriangle } from "@/server/taste/triangles";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

/** Ends a test before all that were planned are answered. */
export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await endTriangle((await params).id);
    return new Response(null, { status: 204 });
  });
