import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveEaters } from "@/server/kitchen/eaters";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveEaters(await readJson(request)) }));
