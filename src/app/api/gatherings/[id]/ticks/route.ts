import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { tick } from "@/server/plan/gatherings";

export const POST = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => Response.json({ ticks: await tick((await params).id, await readJson(request)) }));
