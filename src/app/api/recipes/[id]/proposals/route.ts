import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveProposals } from "@/server/recipes/proposals";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Props) =>
  answer(request, async () => {
    await saveProposals((await params).id, await readJson(request));
    return new Response(null, { status: 204 });
  });
