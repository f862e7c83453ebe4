import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { requireDone } from "@/server/cook/done";
import { mayGuests } from "@/server/taste/who-may";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

/** Whether guests may taste a batch, each by what they said they keep; nothing is kept of it. */
export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json({ may: await mayGuests([await requireDone((await params).id)], await readJson(request)) }));
