/** Opens the data as the server starts, so that the first page does not wait for it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === "nodejs") await (await import("./server/startup")).startUp();
}
