import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { createGathering } from "@/server/plan/gatherings";

export const POST = (request: Request) => answer(request, async () => Response.json({ id: await createGathering(await readJson(request)) }, { status: 201 }));
