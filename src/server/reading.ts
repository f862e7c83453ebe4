import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../core/recipe";
import { FAMILY_DENSITY, REFERENCE } from "../data";

let matcher: FoodMatcher | null = null;

/** What reading a recipe needs, built on first use and kept. */
export const reading = (): ReadingContext => ({
  foods: REFERENCE.foods,
  matcher: (matcher ??= createFoodMatcher(REFERENCE.foods.values())),
  familyDensity: FAMILY_DENSITY,
});
