import { answer } from "@/server/http/answer";
import { workOnFrom } from "@/server/versions/versions";

export const POST = (request: Request, { params }: { readonly params: Promise<{ readonly id: string }> }) =>
  answer(request, async () => Response.json(await workOnFrom((await params).id)));
