import { answer } from "@/server/http/answer";
import { readJson } from "@/server/http/body";
import { forgetTries, saveTry } from "@/server/practice/practice";

/** Keeps a try of an exercise, and says what it came to. */
export const POST = (request: Request) => answer(request, async () => Response.json(await saveTry(await readJson(request)), { status: 201 }));

export const DELETE = (request: Request) =>
  answer(request, async () => {
    await forgetTries(await readJson(request));
    return new Response(null, { status: 204 });
  });
