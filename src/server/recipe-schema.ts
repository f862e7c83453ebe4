import type { JSONSchemaType } from "ajv";
import { ROLES } from "../core/food";
import {
  ARCHETYPES,
  ATTENTIONS,
  HEATS,
  MOST_LINES,
  OPERATIONS,
  type Archetype,
  type ComponentUse,
  type LineChoice,
  type Recipe,
  type RecipeComponent,
  type RecipeLine,
  type RecipeStep,
  type StepChoice,
} from "../core/recipe";

const id = { type: "string", minLength: 1, maxLength: 40 } as const;
const grams = { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 } as const;
const share = { type: "number", exclusiveMinimum: 0, maximum: 1 } as const;
const minutes = { type: "number", minimum: 0, maximum: 20_000 } as const;

const lineChoice: JSONSchemaType<LineChoice> = {
  type: "object",
  additionalProperties: false,
  required: [],
  properties: {
    foodId: { type: "string", maxLength: 100, nullable: true },
    grams: { ...grams, nullable: true },
    role: { type: "string", enum: [...ROLES], nullable: true },
    leftOut: { type: "boolean", nullable: true },
    ratio: {
      type: "object",
      nullable: true,
      additionalProperties: false,
      required: ["times", "of"],
      properties: {
        times: { type: "number", exclusiveMinimum: 0, maximum: 100 },
        of: { type: "array", minItems: 1, maxItems: MOST_LINES, uniqueItems: true, items: id },
      },
    },
  },
};

const line: JSONSchemaType<RecipeLine> = {
  type: "object",
  additionalProperties: false,
  required: ["id", "text", "choice"],
  properties: { id, text: { type: "string", maxLength: 2000 }, choice: lineChoice, component: { ...id, nullable: true } },
};

const use = {
  type: "object",
  required: ["kind"],
  oneOf: [
    { type: "object", additionalProperties: false, required: ["kind"], properties: { kind: { type: "string", enum: ["whole", "apart"] } } },
    { type: "object", additionalProperties: false, required: ["kind", "share"], properties: { kind: { type: "string", const: "part" }, share } },
  ],
} as unknown as JSONSchemaType<ComponentUse>;

const component: JSONSchemaType<RecipeComponent> = {
  type: "object",
  additionalProperties: false,
  required: ["id", "name", "use"],
  properties: { id, name: { type: "string", minLength: 1, maxLength: 100 }, use, into: { ...id, nullable: true } },
};

const stepChoice: JSONSchemaType<StepChoice> = {
  type: "object",
  additionalProperties: false,
  required: [],
  properties: {
    operation: { type: "string", enum: [...OPERATIONS], nullable: true },
    heat: { type: "string", enum: [...HEATS], nullable: true },
    covered: { type: "boolean", nullable: true },
    minutes: {
      type: "object",
      nullable: true,
      additionalProperties: false,
      required: ["shortest", "usual", "longest"],
      properties: { shortest: minutes, usual: minutes, longest: minutes },
    },
    attention: { type: "string", enum: [...ATTENTIONS], nullable: true },
    takes: {
      type: "array",
      nullable: true,
      maxItems: 2 * MOST_LINES,
      items: { type: "object", additionalProperties: false, required: ["of", "share"], properties: { of: id, share } },
    },
    weighed: { ...grams, nullable: true },
  },
};

const step: JSONSchemaType<RecipeStep> = {
  type: "object",
  additionalProperties: false,
  required: ["id", "text", "choice"],
  properties: { id, text: { type: "string", maxLength: 5000 }, choice: stepChoice, component: { ...id, nullable: true } },
};

/** A recipe as it is stored and sent. */
export const recipe: JSONSchemaType<Recipe> = {
  type: "object",
  additionalProperties: false,
  required: ["title", "servings", "lines", "steps"],
  properties: {
    title: { type: "string", minLength: 1, maxLength: 200 },
    servings: { type: "number", exclusiveMinimum: 0, maximum: 1000 },
    lines: { type: "array", maxItems: MOST_LINES, items: line },
    steps: { type: "array", maxItems: 400, items: step },
    components: { type: "array", nullable: true, maxItems: 30, items: component },
    cup: { type: "number", minimum: 50, maximum: 1000, nullable: true } as never,
    tags: { type: "array", nullable: true, maxItems: 30, uniqueItems: true, items: { type: "string", minLength: 1, maxLength: 40 } },
    notes: { type: "string", maxLength: 20_000, nullable: true },
    evaporation: { type: "number", minimum: 0, maximum: 1_000_000, nullable: true } as never,
    archetype: { type: "string", enum: [...ARCHETYPES, null] as Archetype[], nullable: true } as never,
  },
};
