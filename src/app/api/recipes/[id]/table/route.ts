import { answer, readJson } from "@/server/door";
import { saveTable } from "@/server/recipes";

export const PUT = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(async () => {
    await saveTable((await params).id, await readJson(request));
    return new Response(null, { status: 204 });
  });
