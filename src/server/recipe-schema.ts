import type { JSONSchemaType } from "ajv";
import { ROLES } from "../core/food";
import {
  ARCHETYPES,
  ATTENTIONS,
  HEATS,
  RECIPE_LIMITS,
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
        of: { type: "array", minItems: 1, maxItems: RECIPE_LIMITS.lines, uniqueItems: true, items: id },
      },
    },
  },
};

const line: JSONSchemaType<RecipeLine> = {
  type: "object",
  additionalProperties: false,
  required: ["id", "text", "choice"],
  properties: { id, text: { type: "string", maxLength: RECIPE_LIMITS.lineCharacters }, choice: lineChoice, component: { ...id, nullable: true } },
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
  properties: { id, name: { type: "string", minLength: 1, maxLength: RECIPE_LIMITS.componentCharacters }, use, into: { ...id, nullable: true } },
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
      maxItems: 2 * RECIPE_LIMITS.lines,
      items: { type: "object", additionalProperties: false, required: ["of", "share"], properties: { of: id, share } },
    },
    weighed: { ...grams, nullable: true },
  },
};

const step: JSONSchemaType<RecipeStep> = {
  type: "object",
  additionalProperties: false,
  required: ["id", "text", "choice"],
  properties: { id, text: { type: "string", maxLength: RECIPE_LIMITS.stepCharacters }, choice: stepChoice, component: { ...id, nullable: true } },
};

/** A recipe as it is stored and sent. */
export const recipe: JSONSchemaType<Recipe> = {
  type: "object",
  additionalProperties: false,
  required: ["title", "servings", "lines", "steps", "evaporation", "archetype"],
  properties: {
    title: { type: "string", minLength: 1, maxLength: RECIPE_LIMITS.titleCharacters },
    servings: { type: "number", exclusiveMinimum: 0, maximum: RECIPE_LIMITS.servings },
    lines: { type: "array", maxItems: RECIPE_LIMITS.lines, items: line },
    steps: { type: "array", maxItems: RECIPE_LIMITS.steps, items: step },
    components: { type: "array", nullable: true, maxItems: RECIPE_LIMITS.components, items: component },
    cup: { type: "number", minimum: 50, maximum: 1000, nullable: true } as never,
    tags: {
      type: "array",
      nullable: true,
      maxItems: RECIPE_LIMITS.tags,
      uniqueItems: true,
      items: { type: "string", minLength: 1, maxLength: RECIPE_LIMITS.tagCharacters },
    },
    notes: { type: "string", maxLength: RECIPE_LIMITS.notesCharacters, nullable: true },
    evaporation: { type: "number", minimum: 0, maximum: 1_000_000, nullable: true } as never,
    archetype: { type: "string", enum: [...ARCHETYPES, null] as Archetype[], nullable: true } as never,
  },
};
