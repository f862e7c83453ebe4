import { undoRestore } from "@/server/data/backup";
import { answer } from "@/server/http/answer";

export const POST = (request: Request) => answer(request, async () => Response.json(await undoRestore()));
