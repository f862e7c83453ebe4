import { ALLERGENS, FAMILIES, ORIGINS } from "../../../core/food";
import type { Making } from "../../../core/making";
import { PRICE_UNITS, type PantryDocument } from "../../../core/pantry";
import { ajv } from "../door";

const grams = { type: "number", minimum: 0, maximum: 1_000_000 } as const;
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
