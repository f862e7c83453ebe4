import { answer } from "@/server/http/answer";
import { readFile } from "@/server/recipes/exchange";

export const POST = (request: Request) => answer(request, async () => Response.json(await readFile(request)));
