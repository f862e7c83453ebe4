import type { Food } from "../food";
import type { HouseholdMeasures } from "../units";
import { foodFromLabel, foodFromMaking, type OwnFood, type PantryTables } from "./own-food";
import { pricePerGram, type Price } from "./price";
import { withWeighings, type Weighing } from "./weighing";

/** What the pulp of one pressing was seen to hold, g of liquid per g of solids. */
export interface Pressing {
  readonly id: string;
  readonly material: string;
  readonly squeeze: "hard" | "loose";
  readonly holds: number;
  /** ISO date-time. */
  readonly at: string;
}

/** What this household calls a food: learned when a line that could not be read was answered. */
export interface TaughtName {
  readonly words: string;
  readonly foodId: string;
  /** ISO date. */
  readonly at: string;
}

/** What a household adds to the shipped tables. */
export interface PantryDocument {
  readonly foods: readonly OwnFood[];
  readonly weighings: readonly Weighing[];
  readonly prices: readonly Price[];
  readonly pressings: readonly Pressing[];
  readonly names: readonly TaughtName[];
}
export const EMPTY_PANTRY: PantryDocument = { foods: [], weighings: [], prices: [], pressings: [], names: [] };

/** The foods of one kitchen: the shipped ones and its own, with its own weighings in both. Own foods may be made of own foods listed before them. */
export function kitchenFoods(
  shipped: ReadonlyMap<string, Food>,
  pantry: PantryDocument,
  measures: HouseholdMeasures,
  tables: PantryTables,
): ReadonlyMap<string, Food> {
  if (pantry.foods.length + pantry.weighings.length + pantry.prices.length + pantry.names.length === 0) return shipped;
  const foods = new Map(shipped);
  price(foods, pantry.prices);
  for (const own of pantry.foods) {
    if (shipped.has(own.id)) continue;
    const { made } = own;
    const food = made.kind === "label" ? foodFromLabel(own, made.label, tables.traits) : foodFromMaking(own, made.making, made.part, foods, tables);
    if (!food) continue;
    foods.set(own.id, food);
    // Priced at once, so that what is made of it knows.
    price(
      foods,
      pantry.prices.filter(({ foodId }) => foodId === own.id),
    );
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
  for (const { words, foodId } of pantry.names) {
    const food = foods.get(foodId);
    if (food) foods.set(foodId, { ...food, synonyms: [...food.synonyms, words] });
  }
  return foods;
}

function price(foods: Map<string, Food>, prices: readonly Price[]): void {
  for (const each of prices) {
    const food = foods.get(each.foodId);
    const perGram = food ? pricePerGram(each, food) : null;
    if (food && perGram !== null) foods.set(food.id, { ...food, pricePerGram: perGram });
  }
}

/** Names in use, in small letters, each with the id of its food. */
export const namesOf = (foods: Iterable<Food>): Map<string, string> =>
  new Map([...foods].flatMap(({ id, name, synonyms }) => [name, ...synonyms].map((each) => [each.toLowerCase(), id] as const)));
