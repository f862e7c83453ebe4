import { randomUUID } from "node:crypto";
import Ajv, { type ValidateFunction } from "ajv";
import { capital } from "../../core/units";
import { isFullDisk } from "../../db/durable-files";
import { log } from "./log";
import { problemResponse, Refusal, type ProblemError } from "./problems";
import type { Revised } from "./revised";

/** Stops at the first thing that does not fit: a large document full of misses must not fill the memory with them. */
export const ajv = new Ajv({ allowUnionTypes: true });
const ajvThorough = new Ajv({ allErrors: true, allowUnionTypes: true });
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

/** Checks a body against a schema; 422 with a pointer and a sentence for each miss. */
export function checked<T>(validate: ValidateFunction<T>, body: unknown): T {
  if (validate(body)) return body;
  throw new Refusal(422, "The request does not fit.", schemaErrors(validate, body));
}

/** Far above what saving a thing ever reaches, and below what the database can count. */
export const MOST_REVISION = 1_000_000_000;

const validateRevised = ajv.compile<Revised<unknown>>({
  type: "object",
  additionalProperties: false,
  required: ["document", "revision"],
  properties: { document: {}, revision: { type: "integer", minimum: 0, maximum: MOST_REVISION } },
});

/** Checks `{ document, revision }`, the document against its own schema. */
export function checkedRevised<T>(validate: ValidateFunction<T>, body: unknown): Revised<T> {
  const { document, revision } = checked(validateRevised, body);
  if (validate(document)) return { document, revision };
  throw new Refusal(
    422,
    "The request does not fit.",
    schemaErrors(validate, document).map((error) => ({ ...error, pointer: `/document${error.pointer}` })),
  );
}

const MOST_ERRORS = 20;
/** A document no larger than this has all its misses named, characters; of a larger one the first. */
const MOST_THOROUGH = 256 * 1024;
const thorough = new WeakMap<ValidateFunction, ValidateFunction>();

/** What of a value does not fit, after `validate` has said that something does not. */
export function schemaErrors(validate: ValidateFunction, value: unknown): ProblemError[] {
  let { errors } = validate;
  if (JSON.stringify(value).length <= MOST_THOROUGH) {
    const all = thorough.get(validate) ?? ajvThorough.compile(validate.schema);
    thorough.set(validate, all);
    void all(value);
    errors = all.errors ?? errors;
  }
  return (errors ?? []).slice(0, MOST_ERRORS).map((error) => {
    const allowed = error.keyword === "enum" ? `: ${(error.params.allowedValues as unknown[]).join(", ")}` : "";
    const extra = error.keyword === "additionalProperties" ? ` ("${String(error.params.additionalProperty)}")` : "";
    return { pointer: error.instancePath, detail: `${capital(error.message ?? "does not fit")}${allowed}${extra}.` };
  });
}

const READ_ONLY = new Set(["EROFS", "EACCES", "EPERM"]);

/** What the disk or the database said of a write, in words that whoever is in front of the screen can do something with. */
function storeRefusal(error: unknown): Refusal | null {
  for (let each = error; each instanceof Error; each = each.cause) {
    const code = "code" in each ? String(each.code) : "";
    if (isFullDisk(each)) return new Refusal(507, "The disk is full: this was not saved. Make room on it, then try again; what you typed stays here.");
    if (READ_ONLY.has(code)) return new Refusal(507, "The data folder cannot be written to: this was not saved. Make it writable, then try again.");
    // Class 22, data exception: a value that no column can hold.
    if (/^22[0-9A-Z]{3}$/.test(code)) return new Refusal(422, "A value in the request is not one that can be kept. Nothing was changed.");
  }
  return null;
}

/** Runs a route: refusals are told as they are, anything unexpected is logged under the request's id and told as a plain apology. */
export async function answer(request: Request, work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error);
    const known = storeRefusal(error);
    if (known) {
      log.warn({ method: request.method, path: new URL(request.url).pathname, err: error }, known.title);
      return problemResponse(known);
    }
    const id = request.headers.get("x-request-id") ?? randomUUID();
    log.error({ id, method: request.method, path: new URL(request.url).pathname, err: error }, "unexpected");
    return problemResponse(new Refusal(500, `Something went wrong here (record ${id}). Nothing that was saved has changed; please try again.`));
  }
}
