import { dayAtPlace } from "@/server/calendar";
import { answer } from "@/server/door";

export const GET = (request: Request) =>
  answer(request, async () =>
    Response.json(await dayAtPlace(new URL(request.url).searchParams.get("day") ?? ""), { headers: { "cache-control": "no-store" } }),
  );
