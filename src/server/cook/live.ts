import { eventsAfter, requireBatch } from "./batches";
import { listen } from "./listeners";

/** Another process may have written, where the data are on a server: looked for so often, ms. */
const LOOK_EVERY = 2000;
/** A line that says nothing, so that nobody between takes the stream for dead, ms. */
const BREATHE_EVERY = 15_000;

/**
 * What is added to a batch behind a place, as it is added: server-sent events, each with its place as its id, so that a reader who
 * was away goes on behind the last it saw. Throws where there is no such batch.
 */
export async function liveEvents(request: Request, batch: string, place: number): Promise<Response> {
  await requireBatch(batch);
  const encoder = new TextEncoder();
  let seen = place;
  let close = (): void => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let isBusy = false;
      let isAsked = false;
      const send = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          close();
        }
      };
      const look = async (): Promise<void> => {
        isAsked = true;
        if (isBusy) return;
        isBusy = true;
        try {
          while (isAsked) {
            isAsked = false;
            for (const { place: at, event } of await eventsAfter(batch, seen)) {
              seen = at;
              send(`id: ${at}\ndata: ${JSON.stringify(event)}\n\n`);
            }
          }
        } catch {
          close();
        } finally {
          isBusy = false;
        }
      };
      const stop = listen(batch, () => void look());
      const looking = setInterval(() => void look(), LOOK_EVERY);
      const breathing = setInterval(() => send(": still here\n\n"), BREATHE_EVERY);
      close = () => {
        stop();
        clearInterval(looking);
        clearInterval(breathing);
        try {
          controller.close();
        } catch {
          // The reader has closed it.
        }
      };
      request.signal.addEventListener("abort", close);
      send("retry: 1000\n\n");
      void look();
    },
    cancel() {
      close();
    },
  });
  return new Response(body, { headers: { "content-type": "text/event-stream; charset=utf-8", "cache-control": "no-store" } });
}
