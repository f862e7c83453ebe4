import type { ValidateFunction } from "ajv";
import { ajv, schemaErrors } from "./ajv";
import { Refusal } from "./problems";
import type { Revised } from "./revised";

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
