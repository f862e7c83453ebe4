import { answer, readJson } from "@/server/http/door";
import { saveEaters } from "@/server/kitchen/eaters";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveEaters(await readJson(request)) }));
