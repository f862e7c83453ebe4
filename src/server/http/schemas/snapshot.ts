import {
  packSnapshot,
  snapshotFrom1,
  snapshotFrom2,
  unpackSnapshot,
  type Snapshot,
  type StoredSnapshot,
  type StoredSnapshot1,
  type StoredSnapshot2,
} from "../../../core/adaptation";
import { HAZARD_FAMILIES, HAZARD_GRADES } from "../../../core/hazards";
import { KEPT_PROPERTY_IDS, LATER_PROPERTY_IDS } from "../../../core/evaluate";
import { ALLERGENS, FAMILIES, MICRONUTRIENTS, NUTRIENTS, ORIGINS, ROLES, SUGAR_CLASSES } from "../../../core/food";
import { ARCHETYPES, ATTENTIONS, HEATS, OPERATIONS, RECIPE_LIMITS } from "../../../core/recipe";
import { ajv } from "../ajv";
import { TABLE } from "./documents";
import { STORED_RECIPE } from "./recipe";

const text = (most: number) => ({ type: "string", maxLength: most }) as const;
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
const kept = (composition: Record<string, object>, micro: Record<string, object>) =>
  record(
    {
      ...composition,
      id: text(100),
      name: text(200),
      revision: { type: "integer" },
      origin: { enum: [...ORIGINS] },
      family: { enum: [...FAMILIES] },
      allergens: list({ enum: [...ALLERGENS] }, 40),
      mayContain: list(record({ allergen: { enum: [...ALLERGENS] }, why: text(500) }), 40),
      sugarClass: { enum: [...SUGAR_CLASSES] },
      thickening: { type: "object" },
      glycaemicIndex: maybe(record({ low: number, value: number, high: number })),
      freeOil: number,
      solidFat: number,
      counted: list(record({ unit: text(40), grams: amount, share: number }), 40),
      role: { enum: [...ROLES] },
    },
    {
      synonyms: list(text(200), 200),
      provenance: text(40),
      source: text(1000),
      density: maybe(amount),
      forms: { type: "object", additionalProperties: { type: "number" } },
      note: maybe(text(2000)),
      parts: list({ type: "object" }, 60),
      ...micro,
      unknown: list({ type: "string" }, 60),
      lookAlikes: list({ type: "string" }, 60),
      weighed: list({ type: "object" }, 200),
      pricePerGram: maybe(number),
      nature: maybe({ type: "object" }),
      cooked: maybe({ type: "object" }),
      handled: record({ state: { enum: ["raw", "ready"] }, texture: { enum: ["dry", "wet"] }, minutes: amount }),
    },
  );
const rowOf = (line: object, food: Record<string, object>) =>
  record({
    line,
    ...food,
    grams: amount,
    role: { enum: [...ROLES] },
    change: { enum: ["as is", "amount", "replaced", "added", "left out"] },
    why: text(500),
    recipeFood: maybe(text(200)),
    recipeText: maybe(text(5000)),
    recipeGrams: maybe(amount),
  });
/** What the steps do to a food. */
const TREATMENT = record(
  {},
  {
    ground: { enum: ["coarse", "fine"] },
    soaked: { type: "boolean" },
    minutes: amount,
    broken: amount,
    caramel: { enum: ["light", "amber", "dark"] },
    caramelShare: amount,
    dissolved: { type: "boolean" },
    toasted: { type: "boolean" },
    egg: { enum: ["raw", "stirred", "baked"] },
    pieces: { enum: ["whole", "cut"] },
  },
);
const figuresOf = (ids: readonly string[]) => Object.fromEntries(ids.map((id) => [id, record({ value: number, low: number, high: number })]));
const sideOf = (food: Record<string, object>) =>
  record({
    input: record(
      {
        lines: list(
          record({ ...food, grams: amount, sd: amount, role: { enum: [...ROLES] } }, { apart: { type: "boolean" }, bought: amount, treated: TREATMENT }),
          400,
        ),
        evaporation: record({ value: number, sd: number }),
        servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
        cookMinutes: maybe(amount),
      },
      { apart: amount, archetype: maybe({ enum: [...ARCHETYPES] }) },
    ),
    figures: record(figuresOf(KEPT_PROPERTY_IDS), figuresOf(LATER_PROPERTY_IDS)),
  });
const verdict = record(
  {
    kind: { enum: ["fits", "cannot tell", "over a limit", "not for"] },
    notFor: list(text(500), 400),
    breaches: list(text(5000), 2000),
    questions: list(text(5000), 2000),
  },
  { parted: list(text(5000), 2000) },
);
/** What both schemas have in common, with what a line is pointed to by. */
const snapshotOf = (
  line: object,
  step: object,
  food: Record<string, object>,
  row: Record<string, object>,
  more: Record<string, object>,
  words: Record<string, object> = {},
) =>
  record(
    {
      ...more,
      modelVersion: text(100),
      label: text(200),
      recipe: STORED_RECIPE,
      table: TABLE,
      factor: amount,
      rows: list(rowOf(line, row), 400),
      steps: list(
        record(
          {
            ...words,
            from: step,
            segments: list(record({ text: text(5_000_000), kind: { enum: ["plain", "changed", "removed"] } }), 10_000),
            why: text(10_000),
          },
          { isOwn: { const: true }, conflicts: list(text(2000), 400) },
        ),
        100_000,
      ),
      notes: list(record({ kind: { enum: ["breaks", "ask", "watch", "know"] }, text: text(5000) }), 400),
      asHandedDown: sideOf(food),
      forThisTable: sideOf(food),
    },
    {
      verdict,
      hazards: list(
        record({
          family: { enum: [...HAZARD_FAMILIES] },
          grade: { enum: [...HAZARD_GRADES] },
          step: text(100),
          what: text(2000),
          mend: text(2000),
          school: maybe(text(2000)),
          change: maybe(record({ place: { enum: ["before", "behind"] }, text: text(2000) })),
          isOwn: { type: "boolean" },
        }),
        10_000,
      ),
      ways: list(record({ way: text(60), option: text(60), what: text(400) }), 60),
      ownSteps: record({
        texts: list(record({ step: text(100), text: text(RECIPE_LIMITS.stepCharacters) }), 10_000),
        order: maybe(list(text(100), 10_000)),
      }),
      measures: record(Object.fromEntries(["cup", "katori", "tablespoon", "teaspoon"].map((vessel) => [vessel, amount])), { words: text(40) }),
    },
  );
const ids = text(100);
const byName = (names: readonly string[]) => ({
  type: "object",
  additionalProperties: false,
  properties: Object.fromEntries(names.map((name) => [name, number])),
});
const byPosition = { ...list(number, NUTRIENTS.length), minItems: NUTRIENTS.length };
const listed = list(maybe(number), 60);
const food1 = kept({ per100g: byPosition, sd: byPosition }, { micro: listed, microSd: listed });
const food2 = kept(
  { per100g: byName(NUTRIENTS), sd: byName(NUTRIENTS), micro: byName(MICRONUTRIENTS), microSd: byName(MICRONUTRIENTS), unknown: list({ type: "string" }, 60) },
  {},
);

const schema1 = snapshotOf(place, place, { food: food1 }, { food: maybe(food1) }, { schema: { const: 1 } });
const foodsAndRevisions = {
  foods: list(food2, 800),
  madeOn: maybe(record({ recipe: { type: "integer", minimum: 0 }, table: { type: "integer", minimum: 0 } })),
};
const schema2 = snapshotOf(maybe(ids), maybe(ids), { foodId: ids }, { foodId: maybe(ids) }, { schema: { const: 2 }, ...foodsAndRevisions });
const kind = (name: string, more: Record<string, object>) => record({ kind: { const: name }, ...more });
const methodStep = record(
  {
    id: ids,
    part: maybe(ids),
    operations: list({ enum: [...OPERATIONS] }, OPERATIONS.length),
    operation: { enum: [...OPERATIONS] },
    takes: list(
      record({ of: { oneOf: [kind("line", { id: ids }), kind("part", { id: ids })] }, share: { type: "number", exclusiveMinimum: 0, maximum: 1 } }),
      1000,
    ),
    heat: { enum: [...HEATS, null] },
    covered: { type: "boolean" },
    minutes: record({ shortest: amount, usual: amount, longest: amount }),
    timed: { type: "boolean" },
    attention: { enum: [...ATTENTIONS] },
    cue: maybe(text(RECIPE_LIMITS.stepCharacters)),
    tools: list(text(100), 100),
    origin: {
      oneOf: [
        kind("recipe", { step: ids }),
        kind("prepares", { line: ids }),
        kind("adds", { line: ids }),
        kind("usual", { words: text(2000) }),
        kind("boils down", { grams: number, insteadOf: number }),
      ],
    },
    reasons: list(text(2000), 400),
  },
  { cooking: record({ open: amount, covered: amount, left: maybe(amount) }, { why: text(200) }) },
);
const schema3 = snapshotOf(
  maybe(ids),
  maybe(ids),
  { foodId: ids },
  { foodId: maybe(ids), id: ids },
  {
    schema: { const: 3 },
    ...foodsAndRevisions,
    method: maybe(record({ steps: list(methodStep, 100_000), needless: list(record({ step: ids, why: text(2000) }), 100_000) })),
  },
  { step: ids },
);
const validate1 = ajv.compile<StoredSnapshot1>(schema1);
/** A kept version as it is stored now. */
export const validateSnapshot = ajv.compile<StoredSnapshot>(schema3);
const validate2 = ajv.compile<StoredSnapshot2>(schema2);
/** A kept version as it may come in, of whatever schema. */
export const SNAPSHOT_SCHEMA = { oneOf: [schema1, schema2, schema3] } as const;

/** A snapshot for the store, checked as it will be read: null where it could not be read again. */
export function storedSnapshot(snapshot: Snapshot): { readonly ok: true; readonly value: StoredSnapshot } | { readonly ok: false; readonly value: unknown } {
  const value: unknown = JSON.parse(JSON.stringify(packSnapshot(snapshot)));
  return validateSnapshot(value) ? { ok: true, value } : { ok: false, value };
}

/** A kept version as it is read today, of whatever schema it was stored in; null where it is none that can be shown. */
export function readSnapshot(stored: unknown): Snapshot | null {
  if (validateSnapshot(stored)) return unpackSnapshot(stored);
  if (validate2(stored)) return unpackSnapshot(snapshotFrom2(stored));
  return validate1(stored) ? snapshotFrom1(stored) : null;
}
