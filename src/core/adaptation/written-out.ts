import { textOf, type StepWords } from "../method";
import type { ReadRecipe, Recipe } from "../recipe";
import { scaledFor, type Version } from "../substitution";
import type { DiningTable } from "../table";

/** Steps by which something is got ready beforehand, by their ids. */
const PREPARES = "prepares-";

/**
 * A version written out as a recipe for so many servings: lines by weight, by the ids of the rows, and steps in words, by the ids
 * of those that they come from. Null where it cannot be: a milk that the recipe presses itself is made of other lines.
 */
export function writtenOut(read: ReadRecipe, version: Version, words: readonly StepWords[], table: DiningTable): Recipe | null {
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
  return { ...read.recipe, servings: table.servings, archetype: read.archetype, lines, steps };
}
