import type { Food } from "../food";
import type { HouseholdMeasures } from "../units";
import { foodFromLabel } from "./label-food";
import { foodFromMaking, type OwnFood, type PantryTables } from "./own-food";
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
/** What each thing in a pantry is known by. */
export const PANTRY_KEYS = {
  foods: ({ id }: OwnFood): string => id,
  weighings: ({ id }: Weighing): string => id,
  prices: ({ foodId }: Price): string => foodId,
  pressings: ({ id }: Pressing): string => id,
  names: ({ words }: TaughtName): string => words,
};

/** The foods of one kitchen: the shipped ones and its own, with its own weighings in both. Own foods may be made of own foods listed before them. */
export function kitchenFoods(
  shipped: ReadonlyMap<string, Food>,
  pantry: PantryDocument,
  measures: HouseholdMeasures,
  tables: PantryTables,
): ReadonlyMap<string, Food> {
  if (pantry.foods.length + pantry.weighings.length + pantry.prices.length + pantry.names.length === 0) return shipped;
  const foods = new Map(shipped);
  const settle = settling(foods, pantry, measures);
  for (const id of new Set([...pantry.weighings, ...pantry.prices].map(({ foodId }) => foodId))) settle(id);
  for (const own of pantry.foods) {
    if (shipped.has(own.id)) continue;
    const { made } = own;
    const food = made.kind === "label" ? labelled(own, foods, tables) : foodFromMaking(own, made.making, made.part, foods, tables);
    if (!food) continue;
    foods.set(own.id, food);
    // At once, so that what is made of it knows.
    settle(own.id);
  }
  for (const { words, foodId } of pantry.names) {
    const food = foods.get(foodId);
    if (food) foods.set(foodId, { ...food, synonyms: [...food.synonyms, words] });
  }
  return foods;
}

/** What a label food rests on besides is the shipped foods, which do not change: fitted once for each. */
const labelledBy = new WeakMap<PantryTables, WeakMap<OwnFood, Food>>();
function labelled(own: OwnFood, foods: ReadonlyMap<string, Food>, tables: PantryTables): Food | null {
  if (own.made.kind !== "label") return null;
  // A packet may list own foods, which do change.
  const isFixed = !own.made.packet?.ingredients.some(({ means }) => means?.kind === "food" && means.id.startsWith("own-"));
  if (!isFixed) return foodFromLabel(own, own.made, { foods, tables });
  const kept = labelledBy.get(tables) ?? new WeakMap<OwnFood, Food>();
  labelledBy.set(tables, kept);
  const food = kept.get(own) ?? foodFromLabel(own, own.made, { foods, tables });
  kept.set(own, food);
  return food;
}

/** Puts a food's weighings in, then its price: a price by the piece goes by what a piece weighs here. */
function settling(foods: Map<string, Food>, { weighings, prices }: PantryDocument, measures: HouseholdMeasures): (id: string) => void {
  return (id) => {
    const food = foods.get(id);
    if (!food) return;
    const mine = weighings.filter(({ foodId }) => foodId === id);
    const weighed = mine.length > 0 ? withWeighings(food, mine, measures) : food;
    const price = prices.findLast(({ foodId }) => foodId === id);
    const perGram = price ? pricePerGram(price, weighed) : null;
    foods.set(id, perGram === null ? weighed : { ...weighed, pricePerGram: perGram });
  };
}

/** Names in use, in small letters, each with the id of its food. */
export const namesOf = (foods: Iterable<Food>): Map<string, string> =>
  new Map([...foods].flatMap(({ id, name, synonyms }) => [name, ...synonyms].map((each) => [each.toLowerCase(), id] as const)));
