import { MOST_ADAPT_BYTES } from "@/server/adapt/request";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { scheduleAnswer } from "@/server/plan/schedule";

export const dynamic = "force-dynamic";

export const POST = (request: Request) =>
  answer(request, async () => Response.json(await scheduleAnswer(await readJson(request, MOST_ADAPT_BYTES), request.signal)));
