import { randomUUID } from "node:crypto";
import Ajv, { type ValidateFunction } from "ajv";
import { log } from "./log";
import { problemResponse, Refusal, type ProblemError } from "./problem-details";
import type { Revised } from "./revised";

export const ajv = new Ajv({ allErrors: true, allowUnionTypes: true });
const MOST_BYTES = 256 * 1024;

/** Reads a JSON body: 415 where it is not JSON by its type, 413 over 256 kB or what is given, 400 where it cannot be parsed. */
export async function readJson(request: Request, most = MOST_BYTES): Promise<unknown> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/(?:[\w.+-]*\+)?json\b/i.test(type)) throw new Refusal(415, "Send the request as application/json.");
  const text = await readText(request, most);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(400, "The request is not valid JSON.", [{ pointer: "", detail: error instanceof Error ? error.message : "It could not be parsed." }]);
  }
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
  return Buffer.concat(chunks).toString("utf8");
}

/** Checks a body against a schema; 422 with a pointer and a sentence for each miss. */
export function checked<T>(validate: ValidateFunction<T>, body: unknown): T {
  if (validate(body)) return body;
  throw new Refusal(422, "The request does not fit.", schemaErrors(validate));
}

const validateRevised = ajv.compile<Revised<unknown>>({
  type: "object",
  additionalProperties: false,
  required: ["document", "revision"],
  properties: { document: {}, revision: { type: "integer", minimum: 0 } },
});

/** Checks `{ document, revision }`, the document against its own schema. */
export function checkedRevised<T>(validate: ValidateFunction<T>, body: unknown): Revised<T> {
  const { document, revision } = checked(validateRevised, body);
  if (validate(document)) return { document, revision };
  throw new Refusal(
    422,
    "The request does not fit.",
    schemaErrors(validate).map((error) => ({ ...error, pointer: `/document${error.pointer}` })),
  );
}

export function schemaErrors(validate: ValidateFunction): ProblemError[] {
  return (validate.errors ?? []).slice(0, 20).map((error) => {
    const allowed = error.keyword === "enum" ? `: ${(error.params.allowedValues as unknown[]).join(", ")}` : "";
    const extra = error.keyword === "additionalProperties" ? ` ("${String(error.params.additionalProperty)}")` : "";
    return { pointer: error.instancePath, detail: `${(error.message ?? "does not fit").replace(/^./, (letter) => letter.toUpperCase())}${allowed}${extra}.` };
  });
}

/** Runs a route: refusals are told as they are, anything unexpected is logged under the request's id and told as a plain apology. */
export async function answer(request: Request, work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error);
    const id = request.headers.get("x-request-id") ?? randomUUID();
    log.error({ id, method: request.method, path: new URL(request.url).pathname, err: error }, "unexpected");
    return problemResponse(new Refusal(500, `Something went wrong here (record ${id}). Nothing that was saved has changed; please try again.`));
  }
}
