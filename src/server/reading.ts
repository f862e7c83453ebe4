import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../core/recipe";
import type { Reference } from "../core/food";
import type { HouseholdMeasures } from "../core/units";
import { completeTraits, FAMILY_DENSITY, MAKING } from "../data";

const TABLES = { traits: completeTraits, making: MAKING };
const matchers = new WeakMap<Reference["foods"], FoodMatcher>();

/** What reading a recipe needs, of one kitchen's foods and measures; the index of its foods is built on first use and kept. */
export function reading({ foods }: Reference, measures: HouseholdMeasures): ReadingContext {
  const matcher = matchers.get(foods) ?? createFoodMatcher(foods.values());
  matchers.set(foods, matcher);
  return { foods, matcher, familyDensity: FAMILY_DENSITY, measures, tables: TABLES };
}
