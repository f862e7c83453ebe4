import type { JSONSchemaType } from "ajv";
import { ALLERGENS, FAMILIES, FOOD_FORMS, NUTRIENTS, ORIGINS, PROCESSINGS, SUGAR_CLASSES } from "../../../core/food";
import { TRACES, type HouseRules } from "../../../core/models/diet";
import { AGE_BANDS, LIMIT_IDS, TASTES, type EatersDocument } from "../../../core/table";
import { BURNER_KINDS, type Household } from "../../../core/household";
import { ENERGY_UNITS, MEASURE_WORDS, TEMPERATURE_UNITS } from "../../../core/units";
import { ajv } from "../door";

const id = { type: "string", minLength: 1, maxLength: 60 } as const;
const name = { type: "string", minLength: 1, maxLength: 80 } as const;
const note = { type: "string", maxLength: 1000 } as const;
export const isoDay = { type: "string", pattern: "^\\d{4}-\\d{2}-\\d{2}$" } as const;

/** The form of a rule's id, with its school after a stroke. Which there are is the household's matter: `server/house-rules.ts`. */
const ruleId = { type: "string", pattern: "^[a-z0-9-]{1,60}(/[a-z0-9-]{1,40})?$" } as const;
const baseId = { type: "string", pattern: "^[a-z0-9-]{1,60}$" } as const;
const ruleIds = { type: "array", maxItems: 60, uniqueItems: true, items: ruleId } as const;
const baseIds = { type: "array", maxItems: 60, uniqueItems: true, items: baseId } as const;
const limits = {
  type: "array",
  maxItems: LIMIT_IDS.length,
  items: {
    type: "object",
    additionalProperties: false,
    required: ["id", "most", "school"],
    properties: {
      id: { type: "string", enum: [...LIMIT_IDS] },
      most: { type: "number", minimum: 0, maximum: 100_000 },
      school: { type: "string", enum: ["uk", "who"] },
    },
  },
} as const;
/** What somebody leaves out, at home and at a table. */
const person = {
  rules: ruleIds,
  limits,
  traces: { type: "string", enum: [...TRACES] },
  onDays: baseIds,
  asked: isoDay,
  age: { type: "string", enum: [...AGE_BANDS] },
  taste: { type: "string", enum: [...TASTES] },
} as const;
const someOf = (list: readonly string[]) =>
  ({ type: "array", minItems: 1, maxItems: list.length, uniqueItems: true, items: { type: "string", enum: [...list] } }) as const;
const names = { type: "array", minItems: 1, maxItems: 200, uniqueItems: true, items: { type: "string", minLength: 1, maxLength: 100 } } as const;
const sharedWith = { type: "array", maxItems: ALLERGENS.length, uniqueItems: true, items: { type: "string", enum: [...ALLERGENS] } } as const;
const some = (least: number, most: number) => ({ type: "number", minimum: least, maximum: most }) as const;

/** The parts of a table that are made of rules and of who keeps them. */
export const tableParts = {
  rules: ruleIds,
  limits,
  falls: { ...baseIds, type: ["array", "null"] },
  seats: {
    type: "array",
    nullable: true,
    maxItems: 40,
    items: {
      type: "object",
      additionalProperties: false,
      required: ["eater", "name", "servings", "rules", "limits"],
      properties: { eater: id, name, servings: { type: "number", exclusiveMinimum: 0, maximum: 100 }, ...person },
    },
  },
  besides: {
    type: "array",
    nullable: true,
    maxItems: 20,
    items: {
      type: "object",
      additionalProperties: false,
      required: ["recipe", "servings"],
      properties: { recipe: id, servings: { type: "number", exclusiveMinimum: 0, maximum: 100 } },
    },
  },
} as const;

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
        cup: some(100, 500),
        katori: some(50, 300),
        tablespoon: some(5, 30),
        teaspoon: some(2, 10),
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
    place: {
      type: "object",
      nullable: true,
      additionalProperties: false,
      required: ["latitude", "longitude", "timeZone"],
      properties: { latitude: some(-90, 90), longitude: some(-180, 180), timeZone: { type: "string", minLength: 1, maxLength: 60 } },
    } as never,
    equipment: {
      type: "object",
      nullable: true,
      additionalProperties: false,
      required: ["pans", "burners", "mixer", "pressureCooker", "fridge"],
      properties: {
        pans: {
          type: "array",
          maxItems: 30,
          items: {
            type: "object",
            additionalProperties: false,
            required: ["id", "name", "diameter", "depth", "mass", "sharedWith"],
            properties: {
              id,
              name: { type: "string", maxLength: 80 },
              diameter: some(5, 80),
              depth: some(1, 60),
              mass: { ...some(0, 50_000), type: ["number", "null"] },
              sharedWith,
            },
          },
        },
        burners: {
          type: "array",
          maxItems: 12,
          items: {
            type: "object",
            additionalProperties: false,
            required: ["id", "name", "kind", "power"],
            properties: { id, name: { type: "string", maxLength: 80 }, kind: { type: "string", enum: [...BURNER_KINDS] }, power: some(0.1, 20) },
          },
        },
        mixer: { type: ["object", "null"], additionalProperties: false, required: ["sharedWith"], properties: { sharedWith } },
        pressureCooker: {
          type: ["object", "null"],
          additionalProperties: false,
          required: ["sharedWith", "litres"],
          properties: { sharedWith, litres: some(0.5, 60) },
        },
        fridge: { ...some(0, 2000), type: ["number", "null"] },
      },
    } as never,
    schools: {
      type: "object",
      nullable: true,
      maxProperties: 60,
      propertyNames: { pattern: "^[A-Za-z0-9-]{1,60}$" },
      additionalProperties: { type: "string", maxLength: 101 },
    } as never,
    setUp: { type: "boolean", nullable: true } as never,
  },
};
export const validateHousehold = ajv.compile(household);

export const validateEaters = ajv.compile<EatersDocument>({
  type: "object",
  additionalProperties: false,
  required: ["eaters"],
  properties: {
    eaters: {
      type: "array",
      maxItems: 40,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "name", "rules", "limits", "note"],
        properties: {
          id,
          name,
          note,
          ...person,
          until: { type: "object", maxProperties: 60, propertyNames: { pattern: ruleId.pattern }, additionalProperties: isoDay },
          portion: { type: "number", exclusiveMinimum: 0, maximum: 20 },
        },
      },
    },
  },
});

const houseRules = {
  type: "object",
  additionalProperties: false,
  required: ["own", "answers"],
  properties: {
    own: {
      type: "array",
      maxItems: 60,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["id", "name", "from", "clauses", "note"],
        properties: {
          id: { type: "string", pattern: "^own-[a-z0-9-]{1,56}$" },
          name,
          from: { ...ruleId, type: ["string", "null"] },
          note,
          clauses: {
            type: "array",
            maxItems: 100,
            items: {
              type: "object",
              additionalProperties: false,
              required: ["verdict", "when", "because"],
              properties: {
                verdict: { type: "string", enum: ["allowed", "ask", "avoid"] },
                because: { type: "string", maxLength: 300 },
                when: {
                  type: "object",
                  additionalProperties: false,
                  properties: {
                    origins: someOf(ORIGINS),
                    families: someOf(FAMILIES),
                    allergens: someOf(ALLERGENS),
                    plants: names,
                    forms: someOf(FOOD_FORMS),
                    processings: someOf(PROCESSINGS),
                    sugarClasses: someOf(SUGAR_CLASSES),
                    above: { type: "array", minItems: 2, maxItems: 2, items: [{ type: "string", enum: [...NUTRIENTS] }, some(0, 100)], additionalItems: false },
                    alcohol: { const: true },
                    part: { const: true },
                    foods: names,
                  },
                },
              },
            },
          },
        },
      },
    },
    answers: {
      type: "array",
      maxItems: 1000,
      items: {
        type: "object",
        additionalProperties: false,
        required: ["rule", "food", "question", "verdict", "day", "note"],
        properties: {
          rule: ruleId,
          food: { type: "string", minLength: 1, maxLength: 100 },
          question: { type: "string", minLength: 1, maxLength: 400 },
          verdict: { type: "string", enum: ["allowed", "avoid"] },
          day: isoDay,
          note: { type: "string", maxLength: 300 },
        },
      },
    },
  },
} as const;
export const validateHouseRules = ajv.compile<HouseRules>(houseRules);
export const validateTouched = ajv.compile<{ document: HouseRules }>({
  type: "object",
  additionalProperties: false,
  required: ["document"],
  properties: { document: houseRules },
});
