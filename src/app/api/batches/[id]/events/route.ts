import { addEvents } from "@/server/cook/batches";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { checked } from "@/server/http/checked";
import { validateCookEvents } from "@/server/http/schemas/cook";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => {
    const { id } = await params;
    const { events } = checked(validateCookEvents, await readJson(request));
    return Response.json({ added: await addEvents(id, events) });
  });
