import { DIETS, FAMILY_DENSITY, HANDLING, REFERENCE, RULES, SUBSTITUTION } from "../../data";
import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../../core/recipe";
import type { HouseholdMeasures } from "../../core/units";

let matcher: FoodMatcher | null = null;

/** The index of the foods, built on first use and kept. */
export const foodMatcher = (): FoodMatcher => (matcher ??= createFoodMatcher(REFERENCE.foods.values()));

/** What reading a recipe needs, in one kitchen's measures: the foods, their index, densities by family. */
export const readingContext = (measures: HouseholdMeasures): ReadingContext => ({
  foods: REFERENCE.foods,
  matcher: foodMatcher(),
  familyDensity: FAMILY_DENSITY,
  measures,
});

/** The shipped tables, for the pages that compute as one types. */
export const knowledge = { reference: REFERENCE, rules: RULES, diets: DIETS, substitution: SUBSTITUTION, handling: HANDLING } as const;
