import { makeBackup, MOST_BACKUP_BYTES, restoreBackup } from "@/server/data/backup";
import { answer } from "@/server/http/answer";
import { readText } from "@/server/http/body";

export const dynamic = "force-dynamic";

export const GET = (request: Request) =>
  answer(request, async () => {
    const { name, text } = await makeBackup();
    return new Response(text, { headers: { "content-type": "application/jsonl; charset=utf-8", "content-disposition": `attachment; filename="${name}"` } });
  });

export const PUT = (request: Request) => answer(request, async () => Response.json(await restoreBackup(await readText(request, MOST_BACKUP_BYTES))));
