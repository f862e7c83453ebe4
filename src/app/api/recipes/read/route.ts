import { answer } from "@/server/door";
import { readFile } from "@/server/exchange";

export const POST = (request: Request) => answer(request, async () => Response.json(await readFile(request)));
