import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveHousehold } from "@/server/kitchen/household";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveHousehold(await readJson(request)) }));
