import { completeTraits, DIETS, FAMILY_DENSITY, HANDLING, MAKING, REFERENCE, RULES, SUBSTITUTION } from "../../data";
import type { Reference } from "../../core/food";
import { kitchenFoods, type PantryDocument, type PantryTables } from "../../core/pantry";
import { createFoodMatcher, type FoodMatcher, type ReadingContext } from "../../core/recipe";
import type { HouseholdMeasures } from "../../core/units";

/** All that the pages compute from, of one kitchen. */
export interface Knowledge {
  readonly reference: Reference;
  readonly rules: typeof RULES;
  readonly diets: typeof DIETS;
  readonly substitution: typeof SUBSTITUTION;
  readonly handling: typeof HANDLING;
  /** What own foods rest on: what a family implies, and how foods are made at home. */
  readonly pantryTables: PantryTables;
}

const shared = {
  rules: RULES,
  diets: DIETS,
  substitution: SUBSTITUTION,
  handling: HANDLING,
  pantryTables: { traits: completeTraits, making: MAKING },
} as const;
const known = new WeakMap<PantryDocument, WeakMap<HouseholdMeasures, Knowledge>>();

/** The shipped tables with a household's own foods and weighings; the same object for the same two. */
export function knowledgeOf(pantry: PantryDocument, measures: HouseholdMeasures): Knowledge {
  const byMeasures = known.get(pantry) ?? new WeakMap<HouseholdMeasures, Knowledge>();
  known.set(pantry, byMeasures);
  const made = byMeasures.get(measures) ?? {
    ...shared,
    reference: { ...REFERENCE, foods: kitchenFoods(REFERENCE.foods, pantry, measures, shared.pantryTables) },
  };
  byMeasures.set(measures, made);
  return made;
}

const matchers = new WeakMap<Reference["foods"], FoodMatcher>();

/** The index of the foods, built on first use and kept. */
export function foodMatcher({ reference: { foods } }: Knowledge): FoodMatcher {
  const matcher = matchers.get(foods) ?? createFoodMatcher(foods.values());
  matchers.set(foods, matcher);
  return matcher;
}

/** What reading a recipe needs, in one kitchen's foods and measures. */
export const readingContext = (knowledge: Knowledge, measures: HouseholdMeasures): ReadingContext => ({
  foods: knowledge.reference.foods,
  matcher: foodMatcher(knowledge),
  familyDensity: FAMILY_DENSITY,
  measures,
});
