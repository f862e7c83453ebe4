import Type, { type Static, type TSchema } from "typebox";
import type { ValidateFunction } from "ajv";
import { ajv } from "../ajv";

/** An object that holds nothing else. */
export const only = <P extends Record<string, TSchema>>(properties: P) => Type.Object(properties, { additionalProperties: false });
/** As it is, or null. */
export const orNull = <S extends TSchema & { readonly type: string }>(schema: S) =>
  Type.Unsafe<Static<S> | null>({ ...schema, type: [schema.type, "null"], ...("enum" in schema ? { enum: [...(schema.enum as unknown[]), null] } : {}) });
export const text = (maxLength: number, minLength = 0) => Type.String(minLength > 0 ? { minLength, maxLength } : { maxLength });
export const amount = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
/** Above 0, at most so much. */
export const some = (maximum: number) => Type.Number({ exclusiveMinimum: 0, maximum });
export const list = <S extends TSchema>(items: S, maxItems: number) => Type.Array(items, { maxItems });
/** At least one. */
export const atLeastOne = <S extends TSchema>(items: S, maxItems: number) => Type.Array(items, { minItems: 1, maxItems });
/** Each at most once. */
export const distinct = <S extends TSchema>(items: S, maxItems: number, minItems = 0) =>
  Type.Array(items, { ...(minItems > 0 ? { minItems } : {}), maxItems, uniqueItems: true });
export const oneOf = <const Values extends readonly string[]>(values: Values) =>
  Type.Unsafe<Values[number]>({ type: "string", enum: [...values] }) as OneOf<Values>;
type OneOf<Values extends readonly string[]> = ReturnType<typeof Type.Unsafe<Values[number]>> & { readonly type: "string" };

export const isoDay = Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" });

/** A type without `readonly`, as deep as it goes: schemas know none. */
type Writable<T> = T extends (...parts: never[]) => unknown ? T : T extends object ? { -readonly [Key in keyof T]: Writable<T[Key]> } : T;
type Fits<A, B> = [A] extends [B] ? true : false;
/** Whether two types take the same values. */
export type Same<A, B> = Fits<Writable<A>, Writable<B>> extends true ? Fits<Writable<B>, Writable<A>> : false;

/**
 * Compiles the schema of a document that the core has a type for. Where the two do not take the same values, the compiler
 * refuses the call: it asks for a second argument that there is not.
 */
export const schemaOf =
  <Document>() =>
  <S extends TSchema>(schema: S, ..._same: Same<Static<S>, Document> extends true ? [] : [never]): ValidateFunction<Document> =>
    ajv.compile<Document>(schema);
/** Compiles the schema of what is only sent: its type is the schema's. */
export const compiled = <S extends TSchema>(schema: S): ValidateFunction<Static<S>> => ajv.compile<Static<S>>(schema);
