import { dayAtPlace } from "@/server/kitchen/calendar";
import { answer } from "@/server/http/answer";

export const GET = (request: Request) =>
  answer(request, async () =>
    Response.json(await dayAtPlace(new URL(request.url).searchParams.get("day") ?? ""), { headers: { "cache-control": "no-store" } }),
  );
