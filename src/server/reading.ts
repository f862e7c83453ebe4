import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../core/recipe";
import type { HouseholdMeasures } from "../core/units";
import { FAMILY_DENSITY, REFERENCE } from "../data";

let matcher: FoodMatcher | null = null;

/** What reading a recipe needs, in one kitchen's measures; the index of foods is built on first use and kept. */
export const reading = (measures: HouseholdMeasures): ReadingContext => ({
  foods: REFERENCE.foods,
  matcher: (matcher ??= createFoodMatcher(REFERENCE.foods.values())),
  familyDensity: FAMILY_DENSITY,
  measures,
});
