import { INDEX, isNutOrSeed, type Constants, type Food } from "../../food";

const NOTHING = { demand: 0, supply: 0, sticky: 0 };
type BindingConstants = Pick<Constants, "binding">;

/** What a gram of a food takes up of binder, and what it gives, both as grams of fat. */
export interface BindingPerGram {
  readonly demand: number;
  readonly supply: number;
  /** Of the supply, what is sticky by itself. */
  readonly sticky: number;
}

/**
 * Demand and supply of binder per gram of a food: free fat, 0.85 of added water, 0.55 of what is sticky; ground oily nuts and
 * seeds give off a share of their own fat. Sugar that was cooked to a syrup is sticky. Linear in the composition.
 */
export function bindingPerGram(food: Food, composition: ArrayLike<number>, { binding: { value } }: BindingConstants): BindingPerGram {
  const fat = (composition[INDEX.fat] ?? 0) / 100;
  const water = (composition[INDEX.water] ?? 0) / 100;
  const { nature, family, treated } = food;
  const isNut = isNutOrSeed(food);
  const kind = isNut && treated?.ground ? (treated.ground === "fine" ? "ground seed" : "chopped nuts") : nature?.binding;
  const isOily = isNut && kind === "ground seed";
  const givenOff = isOily ? fat * (value.givenOff[nature?.botanical ?? ""] ?? value.givenOff.other ?? 0) : 0;
  switch (kind) {
    case undefined:
    case null: {
      // A block of sugar is grated or cooked.
      if (family !== "sweetener" || nature === null || nature.form === "liquid" || nature.form === "syrup") return NOTHING;
      return treated?.dissolved ? { demand: 0, supply: value.sticky, sticky: value.sticky } : { demand: value.demand["powdered sugar"], supply: 0, sticky: 0 };
    }
    case "free fat":
      return { demand: 0, supply: fat + value.water * water, sticky: 0 };
    case "liquid":
      return { demand: 0, supply: value.water * water, sticky: 0 };
    case "sticky":
      return { demand: 0, supply: value.sticky, sticky: value.sticky };
    case "powdered sugar":
      return treated?.dissolved ? { demand: 0, supply: value.sticky, sticky: value.sticky } : { demand: value.demand[kind], supply: 0, sticky: 0 };
    default:
      return { demand: isOily ? value.demandGivenOff : value.demand[kind], supply: givenOff, sticky: 0 };
  }
}

/** Sums of a whole sweet, g of fat. */
type BindingSums = BindingPerGram;

/**
 * Binding R = supply/demand: under 0.85 it crumbles, to 1.15 it binds, to 1.25 it is rich but holds, beyond it is greasy.
 * @unit ratio
 * @range 0 or more; 0 where nothing takes up binder
 * @source rule of thumb of bound sweets
 */
export const bindingRatio = ({ demand, supply }: Pick<BindingSums, "demand" | "supply">): number => (demand > 0 ? supply / demand : 0);

/** From this on a sweet that sticks by itself is too sticky to handle. */
const STICKY_FROM = 3;

/** What binding comes to, in words: too much of what is sticky makes a sweet sticky, not greasy. */
export function bindingWords(sums: BindingSums, { binding: { value } }: BindingConstants): string {
  const ratio = bindingRatio(sums);
  const words = value.words.find(([upTo]) => ratio < upTo)?.[1];
  if (words) return words;
  return sums.sticky > sums.supply / 2 ? (ratio < STICKY_FROM ? "holds by what is sticky" : "sticky") : "greasy";
}
