import { remove } from "@/server/deleted";
import { answer } from "@/server/door";

export const DELETE = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => {
    await remove("version", (await params).id);
    return new Response(null, { status: 204 });
  });
