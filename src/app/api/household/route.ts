import { answer, readJson } from "@/server/door";
import { saveHousehold } from "@/server/household";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveHousehold(await readJson(request)) }));
