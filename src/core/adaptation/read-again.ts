import { evaluate } from "../evaluate";
import type { Constants } from "../food";
import { textOf, type StepWords } from "../method";
import type { ReadRecipe, Recipe } from "../recipe";
import { scaledFor, type Version } from "../substitution";
import type { DiningTable } from "../table";
import { recipeInput } from "./snapshot";

/** Steps by which something is got ready beforehand, by their ids. */
const PREPARES = "prepares-";

/** How a version comes out when its own steps are read again, beside its figures. */
export interface ReadAgain {
  /** Of the yield, as a share; above 0 where its steps leave more in the pot. */
  readonly off: number;
  readonly grams: number;
}

/**
 * A version written out as a recipe, lines by weight and steps in words, and read again: so that what its figures say is what its
 * steps do. Null where it cannot be written out: a milk that the recipe presses itself is made of other lines.
 */
export function readAgain(
  read: ReadRecipe,
  version: Version,
  words: readonly StepWords[],
  table: DiningTable,
  grams: number,
  open: (recipe: Recipe) => ReadRecipe,
  constants: Constants,
): ReadAgain | null {
  if (read.ledger.pressedIn.size > 0 || read.steps.length === 0 || read.recipe.evaporation !== null) return null;
  const sources = new Map(scaledFor(read, table.servings).lines.map((line) => [line.id, line] as const));
  const components = new Map(read.recipe.lines.map(({ id, component }) => [id, component] as const));
  const lines = version.rows.flatMap(({ id, line, food, grams: mass, role }): Recipe["lines"] => {
    if (!food || mass <= 0) return [];
    const source = line === null ? undefined : sources.get(line);
    // What is peeled in a step goes in as it is bought.
    const bought = source?.bought !== undefined && source.food.id === food.id && source.grams > 0 ? (mass * source.bought) / source.grams : mass;
    const component = line === null ? undefined : components.get(line);
    // What stays is named as it was; what stands for it by its own name.
    const text = (source?.food.id === food.id && line !== null && read.byLine.get(line)?.line.text) || food.name.toLowerCase();
    return [{ id, text, choice: { foodId: food.id, grams: bought, role }, ...(component === undefined ? {} : { component }) }];
  });
  const parts = new Map(read.recipe.steps.map(({ id, component }) => [id, component] as const));
  const steps = words.flatMap((step): Recipe["steps"] => {
    const text = textOf(step).trim();
    const component = step.from === null ? undefined : parts.get(step.from);
    // What is only got ready is in no pot yet.
    return text === "" || step.step.startsWith(PREPARES) ? [] : [{ id: step.step, text, choice: {}, ...(component === undefined ? {} : { component }) }];
  });
  const again = open({ ...read.recipe, servings: table.servings, archetype: read.archetype, lines, steps });
  const now = evaluate(recipeInput(again, table), constants).figures.yield.value;
  return grams > 0 && Number.isFinite(now) ? { off: now / grams - 1, grams: now } : null;
}
