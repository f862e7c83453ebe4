import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { streamed } from "@/server/http/stream";
import { suitedFor } from "@/server/recipes/suiting";

export const dynamic = "force-dynamic";

/** Which recipes suit a table: progress line by line, then all of them. */
export const POST = (request: Request) => answer(request, async () => streamed(request, await suitedFor(await readJson(request))));
