import { photoOf, removePhoto, savePhoto } from "@/server/cook/photos";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) => answer(request, async () => photoOf((await params).id));

export const PUT = (request: Request, { params }: Context) => answer(request, async () => Response.json(await savePhoto((await params).id, request)));

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await removePhoto((await params).id);
    return new Response(null, { status: 204 });
  });
