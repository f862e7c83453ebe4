import { adapt } from "@/server/adapt";
import { answer, readJson } from "@/server/door";

export const dynamic = "force-dynamic";

export const POST = (request: Request) => answer(request, async () => Response.json(await adapt(await readJson(request))));
