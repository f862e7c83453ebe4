import { createFoodMatcher, createFoodFinder, type FoodMatcher, type FoodFinder, type ReadingContext } from "../core/recipe";
import type { Reference } from "../core/food";
import type { HouseholdMeasures } from "../core/units";
import { completeTraits, FAMILY_DENSITY, MAKING, NAMED_ONLY } from "../data";

const TABLES = { traits: completeTraits, making: MAKING };
const indexes = new WeakMap<Reference["foods"], { readonly matcher: FoodMatcher; readonly find: FoodFinder }>();

/** What reading a recipe needs, of one kitchen's foods and measures; the index of its foods is built on first use and kept. */
export function reading({ foods }: Reference, measures: HouseholdMeasures): ReadingContext {
  const index = indexes.get(foods) ?? { matcher: createFoodMatcher(foods.values()), find: createFoodFinder([...foods.values(), ...NAMED_ONLY]) };
  indexes.set(foods, index);
  return { foods, ...index, familyDensity: FAMILY_DENSITY, measures, tables: TABLES };
}
