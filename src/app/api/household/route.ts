import { answer, readJson } from "@/server/http/door";
import { saveHousehold } from "@/server/kitchen/household";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveHousehold(await readJson(request)) }));
