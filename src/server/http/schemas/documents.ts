import type { JSONSchemaType } from "ajv";
import { benchFrom1, benchFrom2, type StoredBench, type StoredBench1, type StoredBench2 } from "../../../core/adaptation";
import { ROLES, SERVING_TEMPERATURES } from "../../../core/food";
import { RECIPE_LIMITS, type Recipe } from "../../../core/recipe";
import type { DiningTable } from "../../../core/table";
import { ajv } from "../door";
import { isoDay, tableParts } from "./household";
import { recipe, storedRecipe } from "./recipe";

const grams = { type: "number", minimum: 0, maximum: 1_000_000 } as const;

const table: JSONSchemaType<DiningTable> = {
  type: "object",
  additionalProperties: false,
  required: ["rules", "limits", "servings", "serve"],
  properties: {
    ...(tableParts as never as Record<"rules" | "limits" | "seats" | "falls" | "besides", never>),
    servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
    serve: { type: "string", enum: [...SERVING_TEMPERATURES] },
    day: { ...isoDay, nullable: true } as never,
    hour: { type: "string", pattern: "^([01]\\d|2[0-3]):[0-5]\\d$", nullable: true } as never,
  },
};

const role = { type: "string", enum: [...ROLES] } as const;
const change = { type: "string", enum: ["as is", "amount", "replaced", "added", "left out"] } as const;
const foodId = { type: ["string", "null"], maxLength: 100 } as never;
const why = { type: "string", maxLength: 200 } as const;
const rowPart = { foodId, grams, role, change, why } as const;
// Below 0: water is taken up.
const evaporation = { type: "number", minimum: -1_000_000, maximum: 1_000_000 } as const;

const bench: JSONSchemaType<StoredBench> = {
  type: "object",
  additionalProperties: false,
  required: ["schema", "madeFor", "byHand", "label", "rows", "evaporation"],
  properties: {
    schema: { type: "number", const: 3 },
    madeFor: {
      type: "object",
      additionalProperties: false,
      required: ["rules", "limits", "servings", "serve"],
      properties: {
        rules: table.properties?.["rules"] as never,
        limits: table.properties?.["limits"] as never,
        servings: table.properties?.["servings"] as never,
        serve: table.properties?.["serve"] as never,
      },
    },
    byHand: { type: "boolean" },
    from: { type: "string", maxLength: 60, nullable: true },
    label: { type: "string", maxLength: 100 },
    rows: {
      type: "array",
      maxItems: 2 * RECIPE_LIMITS.lines,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "line", "foodId", "grams", "role", "change", "why", "was"],
        properties: {
          id: { type: "string", minLength: 1, maxLength: 60 },
          line: { type: ["string", "null"], maxLength: 60 } as never,
          ...rowPart,
          was: {
            type: "object",
            nullable: true,
            additionalProperties: false,
            required: ["foodId", "name", "grams"],
            properties: { foodId: { type: "string", maxLength: 100 }, name: { type: "string", maxLength: 200 }, grams },
          } as never,
        },
      },
    },
    evaporation,
  },
};
const { id: _id, ...row2 } = (bench.properties?.rows as { readonly items: { readonly properties: Readonly<Record<string, object>> } }).items.properties;
/** As benches were stored second. */
const bench2 = {
  ...bench,
  properties: {
    ...bench.properties,
    schema: { type: "number", const: 2 },
    rows: { ...bench.properties?.rows, items: { type: "object", additionalProperties: false, required: Object.keys(row2), properties: row2 } },
  },
};
/** As benches were stored at first. */
const bench1: JSONSchemaType<StoredBench1> = {
  type: "object",
  additionalProperties: false,
  required: ["basis", "label", "rows", "evaporation"],
  properties: {
    basis: { type: "string", maxLength: 20 },
    from: { type: "string", maxLength: 60, nullable: true },
    label: { type: "string", maxLength: 100 },
    rows: {
      type: "array",
      maxItems: 2 * RECIPE_LIMITS.lines,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["line", "foodId", "grams", "role", "change", "why"],
        properties: {
          line: { type: ["integer", "null"], minimum: 0, maximum: RECIPE_LIMITS.lines } as never,
          ...rowPart,
        },
      },
    },
    evaporation,
  },
};
const validateBench1 = ajv.compile(bench1);
const validateBench2 = ajv.compile<StoredBench2>(bench2);
/** A bench as a window may send it. */
export const validateSentBench = ajv.compile<StoredBench | StoredBench2>({ oneOf: [bench, bench2] });
/** A bench as it may come in from a store, of whatever schema. */
export const BENCH_SCHEMA = { oneOf: [bench, bench2, bench1] } as const;

/** A stored bench as it is today, of whatever schema it was stored in; null where it is none. */
export const readBench = (stored: unknown, recipe: Recipe, table: DiningTable): StoredBench | null =>
  validateBench(stored) ? stored : validateBench2(stored) ? benchFrom2(stored) : validateBench1(stored) ? benchFrom1(stored, recipe, table) : null;

export const validateTable = ajv.compile(table);
export const validateBench = ajv.compile(bench);
export const validateRecipe = ajv.compile(recipe);
export const validateStoredRecipe = ajv.compile(storedRecipe);
export const validatePaste = ajv.compile<{ text: string }>({
  type: "object",
  additionalProperties: false,
  required: ["text"],
  properties: { text: { type: "string", maxLength: 2 * RECIPE_LIMITS.characters } },
});
export const validateImport = ajv.compile<{ recipes: Recipe[] }>({
  type: "object",
  additionalProperties: false,
  required: ["recipes"],
  properties: { recipes: { type: "array", minItems: 1, maxItems: 200, items: recipe } },
});
export const validateKeep = ajv.compile<{ recipeId: string; bench: StoredBench; notFor?: boolean }>({
  type: "object",
  additionalProperties: false,
  required: ["recipeId", "bench"],
  properties: { recipeId: { type: "string", maxLength: 60 }, bench, notFor: { type: "boolean" } },
});
/** Characters of what is told of a kept version. */
export const VERSION_LIMITS = { label: 100, why: 1000, whom: 2000 } as const;
export const validateDescription = ajv.compile<{ label: string; why: string; whom: string }>({
  type: "object",
  additionalProperties: false,
  required: ["label", "why", "whom"],
  properties: {
    label: { type: "string", minLength: 1, maxLength: VERSION_LIMITS.label },
    why: { type: "string", maxLength: VERSION_LIMITS.why },
    whom: { type: "string", maxLength: VERSION_LIMITS.whom },
  },
});
