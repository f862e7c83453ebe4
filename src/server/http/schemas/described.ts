/** Pieces of which the answers of the open interface are described, as JSON Schema. */
export const figure = { $ref: "#/components/schemas/Figure" };
export const text = { type: "string" };
export const number = { type: "number" };
export const listOf = (items: object) => ({ type: "array", items });
export const object = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: "object",
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
  properties,
});
