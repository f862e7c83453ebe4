import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { getStock, putInStock } from "@/server/kitchen/stock";

export const GET = (request: Request) => answer(request, async () => Response.json(await getStock()));

export const POST = (request: Request) => answer(request, async () => Response.json(await putInStock(await readJson(request)), { status: 201 }));
