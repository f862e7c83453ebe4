import { answer } from "@/server/http/answer";
import { exportRecipe } from "@/server/recipes/exchange";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) =>
  answer(request, async () => exportRecipe((await params).id, new URL(request.url).searchParams.get("format") ?? "jsonld"));
