import { groundOf, rebased, recipeInput, type Rebased, type StoredBench } from "../adaptation";
import { evaluate, type EvaluationInput, type Figures } from "../evaluate";
import { readRecipe, withAllLines, type ReadRecipe, type Recipe } from "../recipe";
import { problemFor, versionInput, type AdaptationProblem, type Version } from "../substitution";
import type { DiningTable } from "../table";
import { inWays, type InWays, type WayGround, type WayPicks } from "../ways";
import { kept, type Kitchen } from "./kitchen";

const readings = kept((kitchen: Kitchen) => kept((recipe: Recipe) => readRecipe(recipe, kitchen.reading, kitchen.reference.constants)));

/** A recipe as this kitchen reads it; the same one is read once. */
export const openRecipe = (recipe: Recipe, kitchen: Kitchen): ReadRecipe => readings(kitchen)(recipe);

/** What ways are written with in this kitchen. */
export const wayGround = kept((kitchen: Kitchen): WayGround => {
  return { open: (recipe) => openRecipe(withAllLines(recipe, kitchen.reading), kitchen), constants: kitchen.reference.constants };
});

const waysOf = kept((_: Kitchen) => kept((_: ReadRecipe) => new Map<string, InWays>()));
/** Combinations of ways of one recipe that are remembered. */
const MOST_WAYS = 60;

/** A recipe as this household makes it: in its ways, and in those that were picked for one batch. */
export function openInWays(recipe: Recipe, batch: WayPicks | undefined, kitchen: Kitchen): InWays {
  const read = openRecipe(recipe, kitchen);
  const picks = { ...kitchen.household.ways, ...batch };
  const known = waysOf(kitchen)(read);
  const key = JSON.stringify(picks);
  const found = known.get(key) ?? inWays(read, picks, wayGround(kitchen));
  if (known.size >= MOST_WAYS) known.clear();
  known.set(key, found);
  return found;
}

/** What has to be solved for a table: complete, so that nothing after it asks where a figure comes from. */
export const openTable = (read: ReadRecipe, table: DiningTable, kitchen: Kitchen, maxProposals = 1): AdaptationProblem =>
  problemFor(read, table, kitchen.reference, kitchen.substitution, kitchen.rules, maxProposals);

/** What figures were computed from, and the figures. */
export interface Evaluated {
  readonly input: EvaluationInput;
  readonly figures: Figures;
}

/** The recipe as handed down, in a table's servings. */
export function evaluateRecipe(read: ReadRecipe, table: DiningTable, kitchen: Kitchen): Evaluated {
  const input = recipeInput(read, table);
  return { input, figures: evaluate(input, kitchen.reference.constants).figures };
}

/** A version of it at that table. */
export function evaluateVersion(version: Version, read: ReadRecipe, table: DiningTable, kitchen: Kitchen): Evaluated {
  const input = versionInput(version, groundOf(read, table));
  return { input, figures: evaluate(input, kitchen.reference.constants).figures };
}

/** What lies on a recipe's bench, laid anew for recipe, table and foods as they are now; null where nothing that can be laid does. */
export const openBench = (bench: StoredBench | null, read: ReadRecipe, table: DiningTable, kitchen: Kitchen): Rebased | null =>
  rebased(bench, read, table, kitchen.reference.foods);
