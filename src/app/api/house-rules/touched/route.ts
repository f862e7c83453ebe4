import { answer, readJson } from "@/server/door";
import { touchedByRules } from "@/server/house-rules";

export const POST = (request: Request) => answer(request, async () => Response.json(await touchedByRules(await readJson(request))));
