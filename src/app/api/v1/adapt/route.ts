import { adapt, MOST_ADAPT_BYTES } from "@/server/adapt/adapt";
import { answer, readJson } from "@/server/http/door";

export const dynamic = "force-dynamic";

export const POST = (request: Request) => answer(request, async () => Response.json(await adapt(await readJson(request, MOST_ADAPT_BYTES), request.signal)));
