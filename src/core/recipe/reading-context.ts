import type { Food } from "../food";
import type { PantryTables } from "../pantry";
import type { HouseholdMeasures } from "../units";
import type { FoodMatcher } from "./match-food";
import type { FoodFinder } from "./named-foods";

/** What a line or step is read by: foods with their names, and the household's measures. */
export interface ReadingContext {
  readonly foods: ReadonlyMap<string, Food>;
  readonly matcher: FoodMatcher;
  /** Finds what a text names beside: the same foods, and those known by what they are made of alone. */
  readonly find: FoodFinder;
  readonly familyDensity: Readonly<Partial<Record<Food["family"], number>>>;
  readonly measures: HouseholdMeasures;
  /** What foods pressed in a recipe are made by. */
  readonly tables: PantryTables;
}
