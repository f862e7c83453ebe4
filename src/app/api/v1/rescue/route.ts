import { MOST_ADAPT_BYTES } from "@/server/adapt/request";
import { rescueAnswer } from "@/server/adapt/rescue";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";

export const dynamic = "force-dynamic";

export const POST = (request: Request) => answer(request, async () => Response.json(rescueAnswer(await readJson(request, MOST_ADAPT_BYTES))));
