import { makeSealedBackup, MOST_SEALED_BYTES, restoreSealed } from "@/server/data/backup";
import { answer } from "@/server/http/answer";
import { readJson, readText } from "@/server/http/body";

export const dynamic = "force-dynamic";

/** Everything as one file, sealed with the passphrase that is sent. */
export const POST = (request: Request) =>
  answer(request, async () => {
    const { name, text } = await makeSealedBackup(await readJson(request));
    return new Response(text, {
      headers: { "content-type": "text/plain; charset=utf-8", "content-disposition": `attachment; filename="${name}"`, "cache-control": "no-store" },
    });
  });

/** A sealed file: the passphrase as a line of JSON, then the file. */
export const PUT = (request: Request) => answer(request, async () => Response.json(await restoreSealed(await readText(request, MOST_SEALED_BYTES))));
