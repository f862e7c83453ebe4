import type { JSONSchemaType } from "ajv";
import type { StoredBench } from "../core/adaptation";
import { ROLES, SERVING_TEMPERATURES } from "../core/food";
import { RECIPE_LIMITS, type Recipe } from "../core/recipe";
import type { DiningTable } from "../core/substitution";
import { ajv } from "./door";
import { isoDay, tableParts } from "./household-schema";
import { recipe, storedRecipe } from "./recipe-schema";

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

const bench: JSONSchemaType<StoredBench> = {
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
          foodId: { type: ["string", "null"], maxLength: 100 } as never,
          grams,
          role: { type: "string", enum: [...ROLES] },
          change: { type: "string", enum: ["as is", "amount", "replaced", "added", "left out"] },
          why: { type: "string", maxLength: 200 },
        },
      },
    },
    // Below 0: water is taken up.
    evaporation: { type: "number", minimum: -1_000_000, maximum: 1_000_000 },
  },
};

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
