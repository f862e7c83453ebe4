import { interval, type Figure } from "../../numeric";
import type { BalancedLine } from "../../recipe";

/** What the foods of a sweet cost this household, in its own currency. */
export interface Cost {
  /** Of the foods that have a price; where some have none, at least that. */
  readonly total: Figure;
  readonly lines: readonly { readonly name: string; readonly cost: number | null }[];
  /** Foods without a price, water aside. */
  readonly unpriced: readonly string[];
}

/** Σ grams · price per gram, with the spread of the grams; null where no food has a price. Fuel and work are not in it. */
export function costOf(lines: readonly BalancedLine[]): Cost | null {
  let [value, variance] = [0, 0];
  const told = lines
    .filter(({ food, grams }) => food.family !== "water" && grams > 0)
    .map(({ food, grams, sd, bought = grams }) => {
      const price = food.pricePerGram;
      if (price === null) return { name: food.name, cost: null };
      value += bought * price;
      variance += (sd * price) ** 2;
      return { name: food.name, cost: bought * price };
    });
  if (told.every(({ cost }) => cost === null)) return null;
  return { total: interval({ value, sd: Math.sqrt(variance) }), lines: told, unpriced: told.filter(({ cost }) => cost === null).map(({ name }) => name) };
}

/**
 * What keeps one cost from being held beside another: the foods without a price that only it has. What neither knows
 * falls out of the comparison; what one alone does not know would make it look cheap.
 */
export const notComparable = (cost: Cost, beside: Cost): readonly string[] => cost.unpriced.filter((name) => !beside.unpriced.includes(name));
