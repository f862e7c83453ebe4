import { answer, readJson } from "@/server/door";
import { savePantry } from "@/server/pantry";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await savePantry(await readJson(request)) }));
