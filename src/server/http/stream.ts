import { log } from "./log";

/** An answer that comes line by line, JSON each; it ends where the reader leaves. What goes wrong on the way is its last line. */
export function streamed<T extends object>(request: Request, lines: AsyncGenerator<T, void>): Response {
  const encoder = new TextEncoder();
  const encode = (line: object) => encoder.encode(`${JSON.stringify(line)}\n`);
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      try {
        const { done, value } = request.signal.aborted ? await lines.return() : await lines.next();
        if (done) controller.close();
        else controller.enqueue(encode(value));
      } catch (error) {
        log.error({ method: request.method, path: new URL(request.url).pathname, err: error }, "unexpected");
        controller.enqueue(encode({ kind: "failed", why: "Something went wrong here. Nothing that was saved has changed; please try again." }));
        controller.close();
      }
    },
    async cancel() {
      await lines.return();
    },
  });
  return new Response(body, { headers: { "content-type": "application/x-ndjson", "cache-control": "no-store" } });
}
