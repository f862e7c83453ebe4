import {
  CAUTIONS,
  completeTraits,
  DIETS,
  FAMILY_DENSITY,
  HANDLING,
  LOOK_ALIKES,
  MAKING,
  NAMED_ONLY,
  REFERENCE,
  RETENTION,
  RULE_BOOKS,
  RULES,
  SUBSTITUTION,
} from "../../data";
import type { Reference } from "../../core/food";
import { householdRules, type HouseRules, type Rule } from "../../core/models/diet";
import { kitchenConstants } from "../../core/process";
import { kitchenFoods, type PantryDocument, type PantryTables } from "../../core/pantry";
import { createFoodFinder, createFoodMatcher, type FoodFinder, type FoodMatcher, type ReadingContext } from "../../core/recipe";
import { NO_EQUIPMENT, type Household } from "../../core/household";

/** All that the pages compute from, of one kitchen. */
export interface Knowledge {
  readonly reference: Reference;
  /** The shipped rules and the household's own, with its answers. */
  readonly rules: ReadonlyMap<string, Rule>;
  /** Those of them that a table can choose, without single allergens. */
  readonly diets: readonly Rule[];
  readonly substitution: typeof SUBSTITUTION;
  readonly handling: typeof HANDLING;
  /** Foods that are taken for one another, with what tells them apart. */
  readonly lookAlikes: typeof LOOK_ALIKES;
  readonly cautions: typeof CAUTIONS;
  /** What claims are held against. */
  readonly books: typeof RULE_BOOKS;
  readonly retention: typeof RETENTION;
  /** What own foods rest on: what a family implies, and how foods are made at home. */
  readonly pantryTables: PantryTables;
}

const shared = {
  substitution: SUBSTITUTION,
  handling: HANDLING,
  lookAlikes: LOOK_ALIKES,
  cautions: CAUTIONS,
  books: RULE_BOOKS,
  retention: RETENTION,
  pantryTables: { traits: completeTraits, making: MAKING },
} as const;

/** The same result for the same object, as long as that is held. */
function kept<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const made = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const found = made.get(key) ?? { value: make(key) };
    made.set(key, found);
    return found.value;
  };
}

const foodsOf = kept((pantry: PantryDocument) =>
  kept((measures: Household["measures"]) => kitchenFoods(REFERENCE.foods, pantry, measures, shared.pantryTables)),
);
const rulesOf = kept((house: HouseRules) => {
  const rules = householdRules(RULES, house);
  const shipped = new Set(DIETS.map(({ id }) => id));
  return { rules, diets: [...rules.values()].filter(({ id, kind }) => shipped.has(id) || kind === "own") };
});
const constantsOf = kept((equipment: Household["equipment"] & object) => kitchenConstants(REFERENCE.constants, equipment));
const whole = kept((foods: Reference["foods"]) =>
  kept((constants: Reference["constants"]) =>
    kept((rules: ReturnType<typeof rulesOf>): Knowledge => ({
      ...shared,
      ...rules,
      reference: { ...REFERENCE, foods, constants },
    })),
  ),
);

/** The shipped tables with a household's own foods, weighings, pan and rules; the same object for the same of them. */
export const knowledgeOf = (pantry: PantryDocument, { measures, equipment = NO_EQUIPMENT }: Household, house: HouseRules): Knowledge =>
  whole(foodsOf(pantry)(measures))(constantsOf(equipment))(rulesOf(house));

const matchers = new WeakMap<Reference["foods"], FoodMatcher>();

/** The index of the foods, built on first use and kept. */
export function foodMatcher({ reference: { foods } }: Knowledge): FoodMatcher {
  const matcher = matchers.get(foods) ?? createFoodMatcher(foods.values());
  matchers.set(foods, matcher);
  return matcher;
}

const finders = new WeakMap<Reference["foods"], FoodFinder>();
function finderOf({ reference: { foods } }: Knowledge): FoodFinder {
  const finder = finders.get(foods) ?? createFoodFinder([...foods.values(), ...NAMED_ONLY]);
  finders.set(foods, finder);
  return finder;
}

/** What reading a recipe needs, in one kitchen's foods and measures. */
export const readingContext = (knowledge: Knowledge, measures: Household["measures"]): ReadingContext => ({
  foods: knowledge.reference.foods,
  matcher: foodMatcher(knowledge),
  find: finderOf(knowledge),
  familyDensity: FAMILY_DENSITY,
  measures,
  tables: knowledge.pantryTables,
});
