import type { Instrumentation } from "next";

/** Opens the data as the server starts, so that the first page does not wait for it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === "nodejs") await (await import("./server/data/startup")).startUp();
}

/** Logs what went wrong while a page was made, under the request's id; the browser only gets a plain apology. */
export const onRequestError: Instrumentation.onRequestError = async (error, request) => {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { log } = await import("./server/http/log");
  log.error({ id: request.headers["x-request-id"], method: request.method, path: request.path, err: error }, "unexpected");
};
