import type { Food } from "../food";
import type { HouseholdMeasures } from "../units";
import { foodFromLabel, foodFromMixture, type FamilyTraits, type OwnFood } from "./own-food";
import { withWeighings, type Weighing } from "./weighing";

/** What a household adds to the shipped tables. */
export interface PantryDocument {
  readonly foods: readonly OwnFood[];
  readonly weighings: readonly Weighing[];
}
export const EMPTY_PANTRY: PantryDocument = { foods: [], weighings: [] };

/** The foods of one kitchen: the shipped ones and its own, with its own weighings in both. Own mixtures may hold own foods listed before them. */
export function kitchenFoods(
  shipped: ReadonlyMap<string, Food>,
  pantry: PantryDocument,
  measures: HouseholdMeasures,
  traits: FamilyTraits,
): ReadonlyMap<string, Food> {
  if (pantry.foods.length === 0 && pantry.weighings.length === 0) return shipped;
  const foods = new Map(shipped);
  for (const own of pantry.foods) {
    if (shipped.has(own.id)) continue;
    foods.set(own.id, own.made.kind === "label" ? foodFromLabel(own, own.made.label, traits) : foodFromMixture(own, own.made.mixture, foods, traits));
  }
  for (const id of new Set(pantry.weighings.map(({ foodId }) => foodId))) {
    const food = foods.get(id);
    if (food)
      foods.set(
        id,
        withWeighings(
          food,
          pantry.weighings.filter(({ foodId }) => foodId === id),
          measures,
        ),
      );
  }
  return foods;
}

/** Names in use, in small letters, each with the id of its food. */
export const namesOf = (foods: Iterable<Food>): Map<string, string> =>
  new Map([...foods].flatMap(({ id, name, synonyms }) => [name, ...synonyms].map((each) => [each.toLowerCase(), id] as const)));
