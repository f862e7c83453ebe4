import { evaluate } from "../evaluate";
import type { Constants } from "../food";
import type { StepWords } from "../method";
import type { ReadRecipe, Recipe } from "../recipe";
import type { Version } from "../substitution";
import type { DiningTable } from "../table";
import { recipeInput } from "./snapshot";
import { writtenOut } from "./written-out";

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
  const recipe = writtenOut(read, version, words, table);
  if (!recipe) return null;
  const now = evaluate(recipeInput(open(recipe), table), constants).figures.yield.value;
  return grams > 0 && Number.isFinite(now) ? { off: now / grams - 1, grams: now } : null;
}
