import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { savePlan } from "@/server/plan/gatherings";

export const PUT = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => {
    await savePlan((await params).id, await readJson(request));
    return new Response(null, { status: 204 });
  });
