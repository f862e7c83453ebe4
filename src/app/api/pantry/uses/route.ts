import { answer } from "@/server/door";
import { usesOf } from "@/server/uses";

export const GET = (request: Request) => answer(request, async () => Response.json(await usesOf(new URL(request.url).searchParams.get("food") ?? "")));
