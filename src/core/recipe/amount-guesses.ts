import type { Food, Role } from "../food";
import type { HouseholdMeasures } from "../units";

export interface AmountGuess {
  readonly grams: number;
  readonly label: string;
}

/** Amounts to offer by role, as a count of a household measure. */
type Offer = readonly [label: string, count: number, measure: "cup" | "tablespoon" | "teaspoon"];
const PINCH: Offer = ["a pinch", 1 / 16, "teaspoon"];
const QUARTER_SPOON: Offer = ["¼ tsp", 1 / 4, "teaspoon"];
const HALF_SPOON: Offer = ["½ tsp", 1 / 2, "teaspoon"];
const SPOON: Offer = ["1 tbsp", 1, "tablespoon"];
const SPOONS: Offer = ["2 tbsp", 2, "tablespoon"];
const QUARTER: Offer = ["¼ cup", 1 / 4, "cup"];
const HALF: Offer = ["½ cup", 1 / 2, "cup"];
const CUP: Offer = ["1 cup", 1, "cup"];
const OFFERS_BY_ROLE: Readonly<Partial<Record<Role, readonly Offer[]>>> = {
  seasoning: [PINCH, QUARTER_SPOON, HALF_SPOON],
  aroma: [QUARTER_SPOON, HALF_SPOON, ["1 tsp", 1, "teaspoon"]],
  colour: [PINCH, QUARTER_SPOON, HALF_SPOON],
  richness: [SPOON, SPOONS, QUARTER],
  sweetener: [SPOONS, HALF, CUP],
  liquid: [HALF, CUP, ["2 cups", 2, "cup"]],
  crunch: [SPOON, SPOONS, QUARTER],
};

/** Amounts to offer for a line that states none; each is a question to the maker, never used in silence. */
export function amountGuesses(food: Food, measures: HouseholdMeasures): AmountGuess[] {
  const offers = OFFERS_BY_ROLE[food.role] ?? [SPOON, QUARTER, CUP];
  return offers.map(([label, count, measure]) => ({
    label,
    grams: Math.max(0.1, Math.round(count * measures[measure] * (food.density ?? 0.7) * 10) / 10),
  }));
}
