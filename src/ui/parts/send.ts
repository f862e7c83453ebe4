/** Sends JSON to the app's own server; throws with the server's plain words when it refuses. */
export async function send(method: "POST" | "PUT" | "DELETE", url: string, body?: unknown): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(url, {
      method,
      keepalive: true,
      ...(body === undefined ? {} : { headers: { "content-type": "application/json" }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new Error("Threpsis does not answer. Is it still running? What you typed is still here.");
  }
  if (response.status === 204) return null;
  const read: unknown = await response.json().catch(() => null);
  if (response.ok) return read;
  const detail =
    typeof read === "object" && read !== null && "errors" in read && Array.isArray(read.errors)
      ? (read.errors as { pointer?: string; detail?: string }[])[0]
      : undefined;
  const title =
    typeof read === "object" && read !== null && "title" in read && typeof read.title === "string" ? read.title : `The server answered ${response.status}.`;
  throw new Error(detail?.detail && !title.includes(detail.detail) ? `${title} ${detail.pointer ?? ""} ${detail.detail}`.replace(/\s+/g, " ") : title);
}
