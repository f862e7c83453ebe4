import type { Snapshot } from "../core/adaptation";
import { PROPERTY_IDS } from "../core/evaluate";
import { ALLERGENS, FAMILIES, MICRONUTRIENTS, NUTRIENTS, ORIGINS, ROLES, SUGAR_CLASSES } from "../core/food";
import { ajv } from "./door";
import { validateStoredRecipe, validateTable } from "./schemas";

const words = (most: number) => ({ type: "string", maxLength: most }) as const;
const maybe = (schema: object) => ({ anyOf: [schema, { type: "null" }] });
const number = { type: "number", minimum: -1e15, maximum: 1e15 } as const;
const amount = { type: "number", minimum: 0, maximum: 1e15 } as const;
const place = { type: ["integer", "null"], minimum: 0, maximum: 10_000 } as const;
const list = (items: object, most: number) => ({ type: "array", maxItems: most, items });
const record = (required: Record<string, object>, optional: Record<string, object> = {}) => ({
  type: "object",
  required: Object.keys(required),
  properties: { ...required, ...optional },
});

/** What every kept food has had since versions are kept; what came later may be absent, and is then not known. */
const food = record(
  {
    id: words(100),
    name: words(200),
    revision: { type: "integer" },
    per100g: { ...list(number, NUTRIENTS.length), minItems: NUTRIENTS.length },
    sd: { ...list(number, NUTRIENTS.length), minItems: NUTRIENTS.length },
    origin: { enum: [...ORIGINS] },
    family: { enum: [...FAMILIES] },
    allergens: list({ enum: [...ALLERGENS] }, 40),
    mayContain: list(record({ allergen: { enum: [...ALLERGENS] }, why: words(500) }), 40),
    sugarClass: { enum: [...SUGAR_CLASSES] },
    thickening: { type: "object" },
    glycaemicIndex: maybe(record({ low: number, value: number, high: number })),
    freeOil: number,
    solidFat: number,
    counted: list(record({ unit: words(40), grams: amount, share: number }), 40),
    role: { enum: [...ROLES] },
  },
  {
    synonyms: list(words(200), 200),
    provenance: words(40),
    source: words(1000),
    density: maybe(amount),
    forms: { type: "object", additionalProperties: { type: "number" } },
    note: maybe(words(2000)),
    parts: list({ type: "object" }, 60),
    micro: list(maybe(number), 60),
    microSd: list(maybe(number), 60),
    unknown: list({ type: "string" }, 60),
    lookAlikes: list({ type: "string" }, 60),
    weighed: list({ type: "object" }, 200),
    pricePerGram: maybe(number),
    nature: maybe({ type: "object" }),
    cooked: maybe({ type: "object" }),
  },
);
const side = record({
  input: record(
    {
      lines: list(record({ food, grams: amount, sd: amount, role: { enum: [...ROLES] } }, { apart: { type: "boolean" }, bought: amount }), 400),
      evaporation: record({ value: number, sd: number }),
      servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
      cookMinutes: maybe(amount),
    },
    { apart: amount },
  ),
  figures: record(Object.fromEntries(PROPERTY_IDS.map((id) => [id, record({ value: number, low: number, high: number })]))),
});

/** A kept version as it is stored: checked where it comes in, and where it is read. */
export const validateSnapshot = ajv.compile<Snapshot>(
  record(
    {
      schema: { const: 1 },
      modelVersion: words(100),
      label: words(200),
      recipe: validateStoredRecipe.schema as object,
      table: validateTable.schema as object,
      factor: amount,
      rows: list(
        record({
          line: place,
          food: maybe(food),
          grams: amount,
          role: { enum: [...ROLES] },
          change: { enum: ["as is", "amount", "replaced", "added", "left out"] },
          why: words(500),
          recipeFood: maybe(words(200)),
          recipeText: maybe(words(5000)),
          recipeGrams: maybe(amount),
        }),
        400,
      ),
      steps: list(
        record({
          from: place,
          segments: list(record({ text: words(5_000_000), kind: { enum: ["plain", "changed", "removed"] } }), 10_000),
          why: words(2000),
        }),
        100_000,
      ),
      notes: list(record({ kind: { enum: ["breaks", "ask", "watch", "know"] }, text: words(5000) }), 400),
      asHandedDown: side,
      forThisTable: side,
    },
    {
      verdict: record(
        {
          kind: { enum: ["fits", "cannot tell", "over a limit", "not for"] },
          notFor: list(words(500), 400),
          breaches: list(words(5000), 2000),
          questions: list(words(5000), 2000),
        },
        { parted: list(words(5000), 2000) },
      ),
      measures: record(Object.fromEntries(["cup", "katori", "tablespoon", "teaspoon"].map((vessel) => [vessel, amount])), { words: words(40) }),
    },
  ),
);

const UNKNOWN = MICRONUTRIENTS.map(() => null);
/** What was not kept of a food then is not known today. */
const SILENT = { micro: UNKNOWN, microSd: UNKNOWN, unknown: [], weighed: [], lookAlikes: [], pricePerGram: null, nature: null, cooked: null, parts: [] };

/** A kept version as it is read today; null where what is stored is none that can be shown. */
export function readSnapshot(stored: unknown): Snapshot | null {
  if (!validateSnapshot(stored)) return null;
  const complete = (kept: Snapshot["forThisTable"]): Snapshot["forThisTable"] => ({
    ...kept,
    input: { ...kept.input, lines: kept.input.lines.map((line) => ({ ...line, food: { ...SILENT, ...line.food } })) },
  });
  return { ...stored, asHandedDown: complete(stored.asHandedDown), forThisTable: complete(stored.forThisTable) };
}
