import type { JSONSchemaType } from "ajv";
import { ROLES, SERVING_TEMPERATURES, type Role } from "../core/food";
import { ARCHETYPES, MOST_LINES, type Archetype, type LineChoice, type Recipe } from "../core/recipe";
import { LIMIT_IDS, type DiningTable, type LimitId } from "../core/substitution";
import { RULES } from "../data";
import { ajv } from "./door";

/** A version as the bench sends it: which food stands for which line, and how much. */
export interface BenchRow {
  readonly line: number | null;
  readonly foodId: string | null;
  readonly grams: number;
  readonly role: Role;
  readonly change: "as is" | "amount" | "replaced" | "added" | "left out";
  readonly why: string;
}
export interface Bench {
  /** Tells which recipe and table it was worked out for. */
  readonly basis: string;
  readonly label: string;
  readonly rows: readonly BenchRow[];
  readonly evaporation: number;
}

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

const bench: JSONSchemaType<Bench> = {
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

export const validateTable = ajv.compile(table);
export const validateBench = ajv.compile(bench);
export const validateRecipeSave = ajv.compile<{ recipe: Recipe; revision: number }>({
  type: "object",
  additionalProperties: false,
  required: ["recipe", "revision"],
  properties: { recipe, revision: { type: "integer", minimum: 1 } },
});
export const validatePaste = ajv.compile<{ text: string }>({
  type: "object",
  additionalProperties: false,
  required: ["text"],
  properties: { text: { type: "string", maxLength: 200_000 } },
});
export const validateKeep = ajv.compile<{ recipeId: string; bench: Bench }>({
  type: "object",
  additionalProperties: false,
  required: ["recipeId", "bench"],
  properties: { recipeId: { type: "string", maxLength: 60 }, bench },
});
