import { undoRestore } from "@/server/data/backup";
import { answer } from "@/server/http/door";

export const POST = (request: Request) => answer(request, async () => Response.json(await undoRestore()));
