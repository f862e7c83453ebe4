import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { getNextTime, layNextTime } from "@/server/taste/tastings";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) => answer(request, async () => Response.json(await getNextTime((await params).id)));

export const POST = (request: Request, { params }: Context) =>
  answer(request, async () => Response.json(await layNextTime((await params).id, await readJson(request))));
