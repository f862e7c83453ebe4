import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { savePantry } from "@/server/kitchen/pantry";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await savePantry(await readJson(request)) }));
