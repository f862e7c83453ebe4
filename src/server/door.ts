import { randomUUID } from "node:crypto";
import Ajv, { type ValidateFunction } from "ajv";
import { problemResponse, Refusal, type ProblemError } from "./problem-details";

export const ajv = new Ajv({ allErrors: true, allowUnionTypes: true });
const MOST_BYTES = 256 * 1024;

/** Reads a JSON body: 415 where it is not JSON by its type, 413 over 256 kB, 400 where it cannot be parsed. */
export async function readJson(request: Request): Promise<unknown> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/(?:[\w.+-]*\+)?json\b/i.test(type)) throw new Refusal(415, "Send the request as application/json.");
  const declared = Number(request.headers.get("content-length") ?? 0);
  if (declared > MOST_BYTES) throw new Refusal(413, `The request is larger than ${MOST_BYTES / 1024} kB.`);
  const text = await readLimited(request);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(400, "The request is not valid JSON.", [{ pointer: "", detail: error instanceof Error ? error.message : "It could not be parsed." }]);
  }
}

async function readLimited(request: Request): Promise<string> {
  const reader = request.body?.getReader();
  if (!reader) return "";
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > MOST_BYTES) {
      await reader.cancel();
      throw new Refusal(413, `The request is larger than ${MOST_BYTES / 1024} kB.`);
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

function schemaErrors(validate: ValidateFunction): ProblemError[] {
  return (validate.errors ?? []).slice(0, 20).map((error) => {
    const allowed = error.keyword === "enum" ? `: ${(error.params.allowedValues as unknown[]).join(", ")}` : "";
    const extra = error.keyword === "additionalProperties" ? ` ("${String(error.params.additionalProperty)}")` : "";
    return { pointer: error.instancePath, detail: `${(error.message ?? "does not fit").replace(/^./, (letter) => letter.toUpperCase())}${allowed}${extra}.` };
  });
}

/** Runs a route: refusals are told as they are, anything unexpected is logged with an id and told as a plain apology. */
export async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error);
    const id = randomUUID();
    console.error(`[${id}]`, error);
    return problemResponse(new Refusal(500, `Something went wrong here (record ${id}). What you sent was not changed; please try again.`));
  }
}
