import { startAsLastTime } from "@/server/cook/batches";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { checked } from "@/server/http/checked";
import { validateAsLastTime } from "@/server/http/schemas/cook";

/** Begins a batch as another was cooked. */
export const POST = (request: Request) =>
  answer(request, async () => Response.json(await startAsLastTime(checked(validateAsLastTime, await readJson(request)).like), { status: 201 }));
