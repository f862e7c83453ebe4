import { remove } from "@/server/data/deleted";
import { answer } from "@/server/http/answer";
import { checked } from "@/server/http/checked";
import { readJson } from "@/server/http/body";
import { validateDescription } from "@/server/http/schemas/documents";
import { describeVersion } from "@/server/versions/versions";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const PUT = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await describeVersion((await params).id, checked(validateDescription, await readJson(request)));
    return new Response(null, { status: 204 });
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(request, async () => {
    await remove("version", (await params).id);
    return new Response(null, { status: 204 });
  });
