/** What the server refused, in its own plain words, with the rest of what it said. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly said: Readonly<Record<string, unknown>>,
  ) {
    super(message);
  }
}

/** A request that may outlive its page is limited to 64 kB by the standard; larger ones have to be waited for. */
const MOST_KEPT_ALIVE = 60_000;
const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null && !Array.isArray(value);

interface SendOptions {
  /** Of the body; text of another type than JSON is sent as it is. */
  readonly type?: string;
  /** How long an answer is waited for, ms: for what may be sent twice. Without, as long as the browser waits. */
  readonly limit?: number;
}

/** Sends JSON (or a file's text, as it is) to the app's own server; throws Refused when it refuses, an Error when it does not answer. */
export async function send(
  method: "GET" | "POST" | "PUT" | "DELETE",
  url: string,
  body?: unknown,
  { type = "application/json", limit }: SendOptions = {},
): Promise<unknown> {
  const text = body === undefined ? undefined : typeof body === "string" && type !== "application/json" ? body : JSON.stringify(body);
  let response: Response;
  try {
    response = await fetch(url, {
      method,
      keepalive: (text?.length ?? 0) < MOST_KEPT_ALIVE,
      ...(limit === undefined ? {} : { signal: AbortSignal.timeout(limit) }),
      ...(text === undefined ? {} : { headers: { "content-type": type }, body: text }),
    });
  } catch {
    throw new Error("Threpsis does not answer. Is it still running? What you typed is still here.");
  }
  if (response.status === 204) return null;
  const read: unknown = await response.json().catch(() => null);
  if (response.ok) return read;
  throw refusedBy(response, read);
}

/** Sends JSON for a file, which comes back as text with its name; throws as `send` does. */
export async function sendForText(url: string, body: unknown): Promise<{ readonly name: string; readonly text: string }> {
  const response = await fetch(url, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) }).catch(() => {
    throw new Error("Threpsis does not answer. Is it still running? What you typed is still here.");
  });
  if (!response.ok) throw refusedBy(response, await response.json().catch(() => null));
  const name = /filename="([^"]+)"/.exec(response.headers.get("content-disposition") ?? "")?.[1] ?? "file";
  return { name, text: await response.text() };
}

/** What a refusal of the server says, in its own words. */
function refusedBy(response: Response, read: unknown): Refused {
  const said = isRecord(read) ? read : {};
  const title = typeof said.title === "string" ? said.title : `The server answered ${response.status}.`;
  const detail = Array.isArray(said.errors) ? (said.errors as { pointer?: string; detail?: string }[])[0] : undefined;
  const words = detail?.detail && !title.includes(detail.detail) ? `${title} ${pointerWords(detail.pointer ?? "")}${detail.detail}` : title;
  return new Refused(words, response.status, said);
}

/** Where in what was sent something is wrong, for people: "/lines/0/grams" is "lines 1, grams: ". */
export const pointerWords = (pointer: string): string => {
  const parts = pointer.split("/").slice(1);
  const words = parts.map((part, i) => (/^\d+$/.test(part) ? ` ${Number(part) + 1}` : `${i > 0 ? ", " : ""}${part}`)).join("");
  return words === "" ? "" : `${words.trim()}: `;
};

/** An error in plain words, whatever was thrown. */
export const why = (error: unknown, otherwise: string): string => (error instanceof Error ? error.message : otherwise);
