import Ajv, { type ValidateFunction } from "ajv";
import { capital } from "../../core/units";
import type { ProblemError } from "./problems";

/** Stops at the first thing that does not fit: a large document full of misses must not fill the memory with them. */
export const ajv = new Ajv({ allowUnionTypes: true });
const ajvThorough = new Ajv({ allErrors: true, allowUnionTypes: true });
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
