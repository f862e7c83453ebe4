import { answer, readJson } from "@/server/http/door";
import { savePantry } from "@/server/kitchen/pantry";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await savePantry(await readJson(request)) }));
