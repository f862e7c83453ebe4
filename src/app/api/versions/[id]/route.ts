import { answer } from "@/server/door";
import { removeVersion } from "@/server/versions";

export const DELETE = (_: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(async () => {
    await removeVersion((await params).id);
    return new Response(null, { status: 204 });
  });
