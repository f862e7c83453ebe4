import { remove } from "@/server/deleted";
import { answer, checked, readJson } from "@/server/door";
import { validateDescription } from "@/server/schemas";
import { describeVersion } from "@/server/versions";

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
