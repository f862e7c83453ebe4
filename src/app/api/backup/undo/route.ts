import { undoRestore } from "@/server/backup";
import { answer } from "@/server/door";

export const POST = (request: Request) => answer(request, async () => Response.json(await undoRestore()));
