import { Refusal, type ProblemError } from "./problems";

/** The largest document that is saved whole: 2,000 foods of one's own fit, and the longest recipe. */
const MOST_DOCUMENT_BYTES = 16 * 1024 ** 2;

/** Reads a JSON body: 415 where it is not JSON by its type, 413 over what is given, 400 where it is no JSON or no text that can be kept. */
export async function readJson(request: Request, most = MOST_DOCUMENT_BYTES): Promise<unknown> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/(?:[\w.+-]*\+)?json\b/i.test(type)) throw new Refusal(415, "Send the request as application/json.");
  return parseJson(await readText(request, most));
}

/** Lists and objects within each other: no document of ours goes further. */
const MOST_DEPTH = 64;

/** Parses JSON that is no deeper than a document may be and holds no text that a database cannot keep; 400 with what is wrong, and where. */
export function parseJson(text: string): unknown {
  if (depthOf(text) > MOST_DEPTH) throw new Refusal(400, `The request goes deeper than ${MOST_DEPTH} lists and objects within each other.`);
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch (error) {
    throw new Refusal(400, "The request is not valid JSON.", [{ pointer: "", detail: error instanceof Error ? error.message : "It could not be parsed." }]);
  }
  const unkept = unkeepable(read, "");
  if (unkept) throw new Refusal(400, "The request holds characters that are no text.", [unkept]);
  return read;
}

/** How deep brackets stand within each other, without parsing; strings are passed over. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const sign = text.charAt(i);
    if (quoted) {
      if (sign === "\\") i++;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === "[" || sign === "{") deepest = Math.max(deepest, ++depth);
    else if (sign === "]" || sign === "}") depth--;
  }
  return deepest;
}

/** What keeps a text from being kept: a NUL, or half of a character (a lone surrogate); null where nothing does. */
export function unkeepableText(text: string): string | null {
  if (text.includes("\u0000")) return "It holds the character U+0000, which no text has.";
  return /\p{Surrogate}/u.test(text) ? "It holds half of a character (a lone surrogate)." : null;
}

function unkeepable(value: unknown, pointer: string): ProblemError | null {
  if (typeof value === "string") {
    const detail = unkeepableText(value);
    return detail === null ? null : { pointer, detail };
  }
  if (typeof value !== "object" || value === null) return null;
  for (const [key, each] of Object.entries(value)) {
    const named = unkeepableText(key);
    const found = named === null ? unkeepable(each, `${pointer}/${key.replaceAll("~", "~0").replaceAll("/", "~1")}`) : { pointer, detail: named };
    if (found) return found;
  }
  return null;
}

/** Reads a body as text; 413 as soon as it is larger than `most` bytes. */
export async function readText(request: Request, most: number): Promise<string> {
  const tooLarge = () => new Refusal(413, `The request is larger than ${most < 1024 ** 2 ? `${most / 1024} kB` : `${most / 1024 ** 2} MB`}.`);
  if (Number(request.headers.get("content-length") ?? 0) > most) throw tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return "";
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  const text = Buffer.concat(chunks).toString("utf8");
  const unkept = unkeepableText(text);
  if (unkept !== null) throw new Refusal(400, `This is no text. ${unkept}`);
  return text;
}
