import { remove } from "@/server/data/deleted";
import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { saveGathering } from "@/server/plan/gatherings";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json({ revision: await saveGathering((await params).id, await readJson(request)) }));

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await remove("gathering", (await params).id);
    return new Response(null, { status: 204 });
  });
