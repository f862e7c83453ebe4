import type { JSONSchemaType } from "ajv";
import type { StoredBench } from "../core/adaptation";
import { ROLES, SERVING_TEMPERATURES } from "../core/food";
import { ARCHETYPES, MOST_LINES, type Archetype, type LineChoice, type Recipe } from "../core/recipe";
import { LIMIT_IDS, type DiningTable, type LimitId } from "../core/substitution";
import { ENERGY_UNITS, MEASURE_WORDS, TEMPERATURE_UNITS, type Household } from "../core/units";
import { RULES } from "../data";
import { ajv } from "./door";

const grams = { type: "number", minimum: 0, maximum: 1_000_000 } as const;

const choice: JSONSchemaType<LineChoice> = {
  type: "object",
  additionalProperties: false,
  required: [],
  properties: {
    foodId: { type: "string", maxLength: 100, nullable: true },
    grams: { type: "number", exclusiveMinimum: 0, maximum: 1_000_000, nullable: true },
    role: { type: "string", enum: [...ROLES], nullable: true },
    leftOut: { type: "boolean", nullable: true },
  },
};

const recipe: JSONSchemaType<Recipe> = {
  type: "object",
  additionalProperties: false,
  required: ["title", "servings", "lines", "steps"],
  properties: {
    title: { type: "string", minLength: 1, maxLength: 200 },
    servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
    lines: {
      type: "array",
      maxItems: MOST_LINES,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "text", "choice"],
        properties: { id: { type: "string", maxLength: 40 }, text: { type: "string", maxLength: 2000 }, choice },
      },
    },
    steps: { type: "array", maxItems: 400, items: { type: "string", maxLength: 5000 } },
    notes: { type: "string", maxLength: 20_000, nullable: true },
    evaporation: { ...grams, nullable: true } as never,
    archetype: { type: "string", enum: [...ARCHETYPES, null] as Archetype[], nullable: true } as never,
  },
};

const table: JSONSchemaType<DiningTable> = {
  type: "object",
  additionalProperties: false,
  required: ["rules", "limits", "servings", "serve"],
  properties: {
    rules: { type: "array", maxItems: 40, uniqueItems: true, items: { type: "string", enum: [...RULES.keys()] } },
    limits: {
      type: "array",
      maxItems: LIMIT_IDS.length,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "most", "school"],
        properties: {
          id: { type: "string", enum: [...LIMIT_IDS] as LimitId[] },
          most: { type: "number", minimum: 0, maximum: 100_000 },
          school: { type: "string", enum: ["uk", "who"] },
        },
      },
    },
    servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
    serve: { type: "string", enum: [...SERVING_TEMPERATURES] },
  },
};

const bench: JSONSchemaType<StoredBench> = {
  type: "object",
  additionalProperties: false,
  required: ["basis", "label", "rows", "evaporation"],
  properties: {
    basis: { type: "string", maxLength: 20 },
    label: { type: "string", maxLength: 100 },
    rows: {
      type: "array",
      maxItems: 2 * MOST_LINES,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["line", "foodId", "grams", "role", "change", "why"],
        properties: {
          line: { type: ["integer", "null"], minimum: 0, maximum: MOST_LINES } as never,
          foodId: { type: ["string", "null"], maxLength: 100 } as never,
          grams,
          role: { type: "string", enum: [...ROLES] },
          change: { type: "string", enum: ["as is", "amount", "replaced", "added", "left out"] },
          why: { type: "string", maxLength: 200 },
        },
      },
    },
    evaporation: grams,
  },
};

const household: JSONSchemaType<Household> = {
  type: "object",
  additionalProperties: false,
  required: ["measures", "units"],
  properties: {
    measures: {
      type: "object",
      additionalProperties: false,
      required: ["cup", "katori", "tablespoon", "teaspoon", "words"],
      properties: {
        cup: { type: "number", minimum: 100, maximum: 500 },
        katori: { type: "number", minimum: 50, maximum: 300 },
        tablespoon: { type: "number", minimum: 5, maximum: 30 },
        teaspoon: { type: "number", minimum: 2, maximum: 10 },
        words: { type: "string", enum: [...MEASURE_WORDS] },
      },
    },
    units: {
      type: "object",
      additionalProperties: false,
      required: ["energy", "temperature"],
      properties: {
        energy: { type: "string", enum: [...ENERGY_UNITS] },
        temperature: { type: "string", enum: [...TEMPERATURE_UNITS] },
        currency: { type: "string", maxLength: 12, nullable: true },
      } as never,
    },
  },
};

export const validateHousehold = ajv.compile(household);
export const validateTable = ajv.compile(table);
export const validateBench = ajv.compile(bench);
export const validateRecipe = ajv.compile(recipe);
export const validatePaste = ajv.compile<{ text: string }>({
  type: "object",
  additionalProperties: false,
  required: ["text"],
  properties: { text: { type: "string", maxLength: 200_000 } },
});
export const validateImport = ajv.compile<{ recipes: Recipe[] }>({
  type: "object",
  additionalProperties: false,
  required: ["recipes"],
  properties: { recipes: { type: "array", minItems: 1, maxItems: 200, items: recipe } },
});
export const validateKeep = ajv.compile<{ recipeId: string; bench: StoredBench }>({
  type: "object",
  additionalProperties: false,
  required: ["recipeId", "bench"],
  properties: { recipeId: { type: "string", maxLength: 60 }, bench },
});
