import type { JSONSchemaType } from "ajv";
import { ROLES } from "../../../core/food";
import {
  ARCHETYPES,
  ATTENTIONS,
  HEATS,
  RECIPE_LIMITS,
  STORED_RECIPE_LIMITS,
  OPERATIONS,
  type Archetype,
  type ComponentUse,
  type LineChoice,
  type Recipe,
  type RecipeComponent,
  type RecipeLimits,
  type RecipeLine,
  type RecipeStep,
  type StepChoice,
} from "../../../core/recipe";

const id = { type: "string", minLength: 1, maxLength: 40 } as const;
const grams = { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 } as const;
const share = { type: "number", exclusiveMinimum: 0, maximum: 1 } as const;
const minutes = { type: "number", minimum: 0, maximum: 20_000 } as const;

/** A recipe no larger than this. */
function recipeWithin(most: RecipeLimits): JSONSchemaType<Recipe> {
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
          of: { type: "array", minItems: 1, maxItems: most.lines, uniqueItems: true, items: id },
        },
      },
    },
  };

  const line: JSONSchemaType<RecipeLine> = {
    type: "object",
    additionalProperties: false,
    required: ["id", "text", "choice"],
    properties: { id, text: { type: "string", maxLength: most.lineCharacters }, choice: lineChoice, component: { ...id, nullable: true } },
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
    properties: { id, name: { type: "string", minLength: 1, maxLength: most.componentCharacters }, use, into: { ...id, nullable: true } },
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
        maxItems: 2 * most.lines,
        items: { type: "object", additionalProperties: false, required: ["of", "share"], properties: { of: id, share } },
      },
      weighed: { ...grams, nullable: true },
    },
  };

  const step: JSONSchemaType<RecipeStep> = {
    type: "object",
    additionalProperties: false,
    required: ["id", "text", "choice"],
    properties: { id, text: { type: "string", maxLength: most.stepCharacters }, choice: stepChoice, component: { ...id, nullable: true } },
  };

  return {
    type: "object",
    additionalProperties: false,
    required: ["title", "servings", "lines", "steps", "evaporation", "archetype"],
    properties: {
      title: { type: "string", minLength: 1, maxLength: most.titleCharacters },
      servings: { type: "number", exclusiveMinimum: 0, maximum: most.servings },
      lines: { type: "array", maxItems: most.lines, items: line },
      steps: { type: "array", maxItems: most.steps, items: step },
      components: { type: "array", nullable: true, maxItems: most.components, items: component },
      cup: { type: "number", minimum: 50, maximum: 1000, nullable: true } as never,
      tags: {
        type: "array",
        nullable: true,
        maxItems: most.tags,
        uniqueItems: true,
        items: { type: "string", minLength: 1, maxLength: most.tagCharacters },
      },
      notes: { type: "string", maxLength: most.notesCharacters, nullable: true },
      evaporation: { type: "number", minimum: 0, maximum: 1_000_000, nullable: true } as never,
      archetype: { type: "string", enum: [...ARCHETYPES, null] as Archetype[], nullable: true } as never,
    },
  };
}

/** A recipe as it is sent and saved. */
export const recipe = recipeWithin(RECIPE_LIMITS);
/** A recipe as it may lie in a database, or in a backup of one. */
export const storedRecipe = recipeWithin(STORED_RECIPE_LIMITS);
