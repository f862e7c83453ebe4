import { answer } from "@/server/http/answer";
import { usesOf } from "@/server/recipes/uses";

export const GET = (request: Request) => answer(request, async () => Response.json(await usesOf(new URL(request.url).searchParams.get("food") ?? "")));
