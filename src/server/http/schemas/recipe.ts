import Type from "typebox";
import { ROLES } from "../../../core/food";
import { ARCHETYPES, ATTENTIONS, HEATS, OPERATIONS, RECIPE_LIMITS, STORED_RECIPE_LIMITS, type Recipe, type RecipeLimits } from "../../../core/recipe";
import { amount, distinct, list, oneOf, only, orNull, schemaOf, some, text } from "./shapes";

const id = text(40, 1);
const grams = some(1_000_000);
const share = some(1);
const minutes = amount(0, 20_000);

/** A recipe no larger than this. */
const recipeWithin = (most: RecipeLimits) => {
  const component = Type.Optional(id);
  const line = only({
    id,
    text: text(most.lineCharacters),
    choice: only({
      foodId: Type.Optional(text(100)),
      grams: Type.Optional(grams),
      role: Type.Optional(oneOf(ROLES)),
      leftOut: Type.Optional(Type.Boolean()),
      ratio: Type.Optional(only({ times: some(100), of: distinct(id, most.lines, 1) })),
    }),
    component,
  });
  const step = only({
    id,
    text: text(most.stepCharacters),
    choice: only({
      operation: Type.Optional(oneOf(OPERATIONS)),
      heat: Type.Optional(oneOf(HEATS)),
      covered: Type.Optional(Type.Boolean()),
      minutes: Type.Optional(only({ shortest: minutes, usual: minutes, longest: minutes })),
      attention: Type.Optional(oneOf(ATTENTIONS)),
      takes: Type.Optional(list(only({ of: id, share }), 2 * most.lines)),
      weighed: Type.Optional(grams),
    }),
    component,
  });
  const use = Type.Union([only({ kind: Type.Literal("whole") }), only({ kind: Type.Literal("apart") }), only({ kind: Type.Literal("part"), share })]);
  return only({
    title: text(most.titleCharacters, 1),
    servings: some(most.servings),
    makes: Type.Optional(only({ kind: oneOf(["pieces", "jar", "tray", "amount"]), count: some(most.servings), noun: text(most.componentCharacters, 1) })),
    lines: list(line, most.lines),
    steps: list(step, most.steps),
    components: Type.Optional(list(only({ id, name: text(most.componentCharacters, 1), use, into: Type.Optional(id) }), most.components)),
    cup: Type.Optional(orNull(amount(50, 1000))),
    tags: Type.Optional(distinct(text(most.tagCharacters, 1), most.tags)),
    notes: Type.Optional(text(most.notesCharacters)),
    evaporation: orNull(amount(0, 1_000_000)),
    archetype: orNull(oneOf(ARCHETYPES)),
  });
};

/** A recipe as it is sent and saved. */
export const RECIPE = recipeWithin(RECIPE_LIMITS);
/** A recipe as it may lie in a database, or in a backup of one. */
export const STORED_RECIPE = recipeWithin(STORED_RECIPE_LIMITS);

export const validateRecipe = schemaOf<Recipe>()(RECIPE);
