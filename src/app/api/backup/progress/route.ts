import { restoreProgress } from "@/server/data/backup";
import { answer } from "@/server/http/answer";

export const dynamic = "force-dynamic";

/** How far the restore is that runs now. */
export const GET = (request: Request) => answer(request, async () => Response.json(restoreProgress(), { headers: { "cache-control": "no-store" } }));
