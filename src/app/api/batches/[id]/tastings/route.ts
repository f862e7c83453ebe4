import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveTasting } from "@/server/taste/tastings";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json(await saveTasting((await params).id, await readJson(request)), { status: 201 }));
