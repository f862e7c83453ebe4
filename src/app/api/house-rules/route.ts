import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { keepersOf, saveHouseRules } from "@/server/kitchen/house-rules";

export const PUT = (request: Request) => answer(request, async () => Response.json({ revision: await saveHouseRules(await readJson(request)) }));

/** Who keeps the rule that is asked about, and at which tables: while somebody does, it is not taken out. */
export const GET = (request: Request) =>
  answer(request, async () => Response.json({ keepers: await keepersOf(new URL(request.url).searchParams.get("rule") ?? "") }));
