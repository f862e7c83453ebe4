import { dueOf, takeOut, type InStock } from "../stock";

/** So much of a food for one sweet, as it is bought. */
export interface ShoppingNeed {
  readonly sweet: string;
  readonly food: string;
  readonly name: string;
  readonly family: string;
  readonly grams: number;
}
/** What one food is sold in, and what that costs; by the household's own price. */
export interface SoldIn {
  /** Of one packet, piece or bottle, g. */
  readonly grams: number;
  readonly words: string;
  readonly price: number;
}

/** A food on the list. */
export interface ShoppingRow {
  readonly food: string;
  readonly name: string;
  readonly family: string;
  /** All that is needed, of it in stock, to be bought; g. */
  readonly grams: number;
  readonly inStock: number;
  readonly toBuy: number;
  /** Whole packets of what it is sold in; null where nobody has said how it is sold. */
  readonly packets: { readonly count: number; readonly words: string; readonly left: number } | null;
  /** What is paid for it at the shop: whole packets where they are known; null without a price. */
  readonly cost: number | null;
  readonly bySweet: readonly { readonly sweet: string; readonly grams: number }[];
  /** What to read on the packet, or to ask. */
  readonly asks: readonly string[];
}

/** What the sweets of a gathering cost: by what goes in, not by what is bought. */
export interface SweetCost {
  readonly sweet: string;
  readonly cost: number;
  readonly unpriced: readonly string[];
}

export interface ShoppingList {
  readonly rows: readonly ShoppingRow[];
  /** At the shop, what has a price; and what has none. */
  readonly toPay: number;
  readonly unpriced: readonly string[];
  readonly bySweet: readonly SweetCost[];
}

/** Of what is needed less than this is there, g. */
const NOTHING = 0.05;

/** What is to be bought for a day: summed by food, what is in stock and good until then taken off, in whole packets where the household has said what it pays for how much. */
export function shoppingList(
  needs: readonly ShoppingNeed[],
  stock: readonly InStock[],
  day: string,
  { soldIn, asks }: { readonly soldIn: (food: string) => SoldIn | null; readonly asks: (food: string) => readonly string[] },
): ShoppingList {
  const foods = [...new Set(needs.map(({ food }) => food))];
  const good = stock.filter((item) => dueOf(item, day) !== "past");
  const { missing } = takeOut(
    foods.map((food) => ({ food, name: "", grams: sumOf(needs.filter((need) => need.food === food)) })),
    good,
    day,
  );
  const rows = foods.flatMap((food): ShoppingRow[] => {
    const of = needs.filter((need) => need.food === food);
    const [first] = of;
    const grams = sumOf(of);
    if (!first || grams < NOTHING) return [];
    const toBuy = missing.find((each) => each.food === food)?.grams ?? 0;
    const sold = soldIn(food);
    const count = sold === null ? 0 : Math.ceil(toBuy / sold.grams - 1e-9);
    const sweets = [...new Set(of.map(({ sweet }) => sweet))];
    return [
      {
        food,
        name: first.name,
        family: first.family,
        grams,
        inStock: grams - toBuy,
        toBuy,
        packets: sold === null || toBuy < NOTHING ? null : { count, words: sold.words, left: count * sold.grams - toBuy },
        cost: sold === null ? null : count * sold.price,
        bySweet: sweets.map((sweet) => ({ sweet, grams: sumOf(of.filter((need) => need.sweet === sweet)) })),
        asks: asks(food),
      },
    ];
  });
  const bought = rows.filter(({ toBuy }) => toBuy >= NOTHING);
  const perGram = (food: string) => {
    const sold = soldIn(food);
    return sold === null ? null : sold.price / sold.grams;
  };
  return {
    rows: rows.toSorted((one, other) => one.family.localeCompare(other.family, "en") || one.name.localeCompare(other.name, "en")),
    toPay: bought.reduce((sum, { cost }) => sum + (cost ?? 0), 0),
    unpriced: bought.filter(({ cost }) => cost === null).map(({ name }) => name),
    bySweet: [...new Set(needs.map(({ sweet }) => sweet))].map((sweet) => {
      const of = needs.filter((need) => need.sweet === sweet);
      return {
        sweet,
        cost: of.reduce((sum, { food, grams }) => sum + grams * (perGram(food) ?? 0), 0),
        unpriced: [...new Set(of.filter(({ food }) => perGram(food) === null).map(({ name }) => name))],
      };
    }),
  };
}
const sumOf = (needs: readonly { readonly grams: number }[]): number => needs.reduce((sum, { grams }) => sum + grams, 0);

/**
 * A weight as it is asked for at a shop: rounded up to what is weighed out there, 5 g below 100, 10 below 500, 50 above; less than 5 g to the gram.
 * @unit g
 * @range 0 or more
 * @source rule of thumb
 */
export function askedFor(grams: number): number {
  const step = grams < 5 ? 1 : grams < 100 ? 5 : grams < 500 ? 10 : 50;
  return Math.ceil(grams / step - 1e-9) * step;
}
