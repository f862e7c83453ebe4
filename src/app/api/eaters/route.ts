import { answer, readJson } from "@/server/door";
import { saveEaters } from "@/server/eaters";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveEaters(await readJson(request)) }));
