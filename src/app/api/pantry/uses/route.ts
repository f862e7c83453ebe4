import { answer } from "@/server/http/door";
import { usesOf } from "@/server/recipes/uses";

export const GET = (request: Request) => answer(request, async () => Response.json(await usesOf(new URL(request.url).searchParams.get("food") ?? "")));
