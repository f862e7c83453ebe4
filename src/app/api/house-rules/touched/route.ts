import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { touchedByRules } from "@/server/kitchen/house-rules";

export const POST = (request: Request) => answer(request, async () => Response.json(await touchedByRules(await readJson(request))));
