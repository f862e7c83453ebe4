import { answer, readJson } from "@/server/http/door";
import { touchedByRules } from "@/server/kitchen/house-rules";

export const POST = (request: Request) => answer(request, async () => Response.json(await touchedByRules(await readJson(request))));
