import { answer, readJson } from "@/server/door";
import { saveBench } from "@/server/recipes";

export const PUT = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(async () => {
    await saveBench((await params).id, await readJson(request));
    return new Response(null, { status: 204 });
  });
