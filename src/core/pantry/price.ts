import { MASS_GRAMS } from "../units";
import type { Food } from "../food";

export const PRICE_UNITS = ["g", "kg", "ml", "l", "piece"] as const;

/** What the household pays for so much of a food, in its own currency. */
export interface Price {
  readonly foodId: string;
  readonly price: number;
  readonly amount: number;
  readonly unit: (typeof PRICE_UNITS)[number];
  /** ISO date. */
  readonly at: string;
}

/**
 * Price of a gram; null where the amount cannot be weighed: a volume without density, pieces of unknown weight.
 * @unit currency per g
 * @range 0 or more
 * @source price by amount
 */
export function pricePerGram({ price, amount, unit }: Price, food: Food): number | null {
  const grams = gramsOf(unit, food);
  return grams === null || amount <= 0 ? null : price / (amount * grams);
}

function gramsOf(unit: Price["unit"], food: Food): number | null {
  if (unit === "g" || unit === "kg") return unit === "kg" ? (MASS_GRAMS.kilogram ?? 1000) : 1;
  if (unit === "ml" || unit === "l") return food.density === null ? null : food.density * (unit === "l" ? 1000 : 1);
  return (
    food.weighed.find((measure) => measure.unit === "piece" && measure.form === "")?.grams ??
    food.counted.find((counted) => counted.unit === "piece")?.grams ??
    null
  );
}

/** The units that a price of this food can be given for. */
export const priceUnitsOf = (food: Food): readonly Price["unit"][] => PRICE_UNITS.filter((unit) => gramsOf(unit, food) !== null);
