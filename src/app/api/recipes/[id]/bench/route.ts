import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { benchStates, saveBench } from "@/server/recipes/recipes";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

/** What lay on the bench before, the latest first. */
export const GET = (request: Request, { params }: Props) => answer(request, async () => Response.json({ states: await benchStates((await params).id) }));

export const PUT = (request: Request, { params }: Props) =>
  answer(request, async () => Response.json({ revision: await saveBench((await params).id, await readJson(request)) }));
