import { DIETS, FAMILY_DENSITY, HANDLING, REFERENCE, RULES, SUBSTITUTION } from "../../data";
import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../../core/recipe";

let matcher: FoodMatcher | null = null;

/** What reading needs: the foods, their index (built on first use), densities by family. */
export const readingContext = (): ReadingContext => ({
  foods: REFERENCE.foods,
  matcher: (matcher ??= createFoodMatcher(REFERENCE.foods.values())),
  familyDensity: FAMILY_DENSITY,
});

/** The shipped tables, for the pages that compute as one types. */
export const knowledge = { reference: REFERENCE, rules: RULES, diets: DIETS, substitution: SUBSTITUTION, handling: HANDLING } as const;
