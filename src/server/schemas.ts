import type { JSONSchemaType } from "ajv";
import type { StoredBench } from "../core/adaptation";
import { ALLERGENS, FAMILIES, ORIGINS, ROLES, SERVING_TEMPERATURES } from "../core/food";
import type { Making } from "../core/making";
import { PRICE_UNITS, type PantryDocument } from "../core/pantry";
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

const allergens = { type: "array", maxItems: 30, uniqueItems: true, items: { type: "string", enum: [...ALLERGENS] } } as const;
const amount = { type: ["number", "null"], minimum: 0, maximum: 100_000 } as const;
const label = {
  type: "object",
  additionalProperties: false,
  required: ["per", "energy", "energyUnit", "fat", "saturatedFat", "carbohydrate", "includesFibre", "sugars", "fibre", "protein", "salt", "saltUnit"],
  properties: {
    per: { type: "number", exclusiveMinimum: 0, maximum: 10_000 },
    energy: amount,
    energyUnit: { type: "string", enum: ["kcal", "kJ"] },
    fat: amount,
    saturatedFat: amount,
    carbohydrate: amount,
    includesFibre: { type: "boolean" },
    sugars: amount,
    fibre: amount,
    protein: amount,
    salt: amount,
    saltUnit: { type: "string", enum: ["g salt", "mg sodium"] },
  },
} as const;
const foodId = { type: "string", minLength: 1, maxLength: 100 } as const;
const someGrams = { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 } as const;
const weighed = { type: ["number", "null"], exclusiveMinimum: 0, maximum: 1_000_000 } as const;
const makingOf = <const P extends Record<string, object>>(kind: Making["kind"], properties: P) => ({
  type: "object",
  additionalProperties: false,
  required: ["kind", ...Object.keys(properties)],
  properties: { kind: { type: "string", const: kind }, ...properties },
});
const parts = {
  type: "array",
  maxItems: 60,
  items: { type: "object", additionalProperties: false, required: ["foodId", "grams"], properties: { foodId, grams: someGrams } },
} as const;
const squeeze = { type: "string", enum: ["hard", "loose"] } as const;
const making = {
  type: "object",
  oneOf: [
    makingOf("mixture", { parts, finished: weighed }),
    makingOf("milk", {
      material: foodId,
      grams: someGrams,
      soaked: { type: "number", minimum: 0, maximum: 96 },
      presses: { type: "array", minItems: 1, maxItems: 4, items: grams },
      squeeze,
      holds: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 50 },
      weighedMilk: weighed,
      weighedPulp: weighed,
    }),
    makingOf("paste", { fruit: foodId, grams: someGrams, water: grams, finished: weighed }),
    makingOf("syrup", { sugar: foodId, grams: someGrams, water: grams, filtered: { type: "boolean" }, percent: { type: "number", minimum: 5, maximum: 99 } }),
    makingOf("caramel", { sugar: foodId, grams: someGrams, stage: { type: "string", enum: ["light", "amber", "dark"] }, water: grams }),
    makingOf("roast", { flour: foodId, grams: someGrams, stage: { type: "string", enum: ["pale", "golden", "deep"] }, finished: weighed }),
  ],
} as const;

export const validatePantry = ajv.compile<PantryDocument>({
  type: "object",
  additionalProperties: false,
  required: ["foods", "weighings"],
  properties: {
    foods: {
      type: "array",
      maxItems: 2000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "name", "synonyms", "family", "origin", "allergens", "traces", "made", "density", "note", "revision"],
        properties: {
          id: { type: "string", pattern: "^own-[a-z0-9-]{1,80}$" },
          name: { type: "string", minLength: 1, maxLength: 100 },
          synonyms: { type: "array", maxItems: 20, items: { type: "string", minLength: 1, maxLength: 60 } },
          family: { type: "string", enum: [...FAMILIES] },
          origin: { type: "string", enum: [...ORIGINS] },
          allergens,
          traces: allergens,
          made: {
            type: "object",
            oneOf: [
              { type: "object", additionalProperties: false, required: ["kind", "label"], properties: { kind: { type: "string", const: "label" }, label } },
              {
                type: "object",
                additionalProperties: false,
                required: ["kind", "making", "part"],
                properties: { kind: { type: "string", const: "made" }, making, part: { type: "string", maxLength: 20 } },
              },
            ],
          },
          density: { type: ["number", "null"], exclusiveMinimum: 0, maximum: 25 },
          note: { type: "string", maxLength: 500 },
          revision: { type: "integer", minimum: 1, maximum: 1_000_000 },
        },
      },
    },
    weighings: {
      type: "array",
      maxItems: 20_000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "foodId", "unit", "form", "grams", "at"],
        properties: {
          id: { type: "string", maxLength: 40 },
          foodId: { type: "string", maxLength: 100 },
          unit: { type: "string", minLength: 1, maxLength: 30 },
          form: { type: "string", maxLength: 30 },
          grams: { type: "number", exclusiveMinimum: 0, maximum: 100_000 },
          at: { type: "string", maxLength: 40 },
        },
      },
    },
    prices: {
      type: "array",
      maxItems: 5000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["foodId", "price", "amount", "unit", "at"],
        properties: {
          foodId,
          price: { type: "number", minimum: 0, maximum: 10_000_000 },
          amount: { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 },
          unit: { type: "string", enum: [...PRICE_UNITS] },
          at: { type: "string", maxLength: 40 },
        },
      },
    },
    names: {
      type: "array",
      maxItems: 2000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["words", "foodId", "at"],
        properties: { words: { type: "string", minLength: 1, maxLength: 80 }, foodId, at: { type: "string", maxLength: 40 } },
      },
    },
    pressings: {
      type: "array",
      maxItems: 5000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "material", "squeeze", "holds", "at"],
        properties: {
          id: { type: "string", maxLength: 40 },
          material: foodId,
          squeeze,
          holds: { type: "number", exclusiveMinimum: 0, maximum: 50 },
          at: { type: "string", maxLength: 40 },
        },
      },
    },
  },
});

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
