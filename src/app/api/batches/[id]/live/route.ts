import { liveEvents } from "@/server/cook/live";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const dynamic = "force-dynamic";

/** What is added behind a place: that of the address, or the last that the reader saw before it was cut off. */
export const GET = (request: Request, { params }: Context) =>
  answer(request, async () => {
    const { id } = await params;
    const last = Number(request.headers.get("last-event-id") ?? new URL(request.url).searchParams.get("after") ?? 0);
    return liveEvents(request, id, Number.isInteger(last) && last > 0 ? last : 0);
  });
