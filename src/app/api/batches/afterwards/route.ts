import { enterAfterwards } from "@/server/cook/batches";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";

/** Enters a batch that was cooked without Threpsis, after the fact. */
export const POST = (request: Request) => answer(request, async () => Response.json({ id: await enterAfterwards(await readJson(request)) }, { status: 201 }));
