import { INDEX, isNutOrSeed, learnedKey, UNLEARNED_SD, type Constants, type Food } from "../../food";

const NOTHING: BindingPerGram = { demand: 0, demandKnown: 0, supply: 0, sticky: 0 };
type BindingConstants = Pick<Constants, "binding" | "learned">;

/** What a gram of a food takes up of binder, and what it gives, both as grams of fat. */
export interface BindingPerGram {
  readonly demand: number;
  /** Of the demand, what the house's own batches have made surer, times by how much: by ln, standard deviation. */
  readonly demandKnown: number;
  readonly supply: number;
  /** Of the supply, what is sticky by itself. */
  readonly sticky: number;
}

/**
 * Demand and supply of binder per gram of a food: free fat, 0.85 of added water, 0.55 of what is sticky; ground oily nuts and
 * seeds give off a share of their own fat. Sugar that was cooked to a syrup is sticky. Linear in the composition.
 */
export function bindingPerGram(food: Food, composition: ArrayLike<number>, { binding: { value }, learned }: BindingConstants): BindingPerGram {
  const fat = (composition[INDEX.fat] ?? 0) / 100;
  const water = (composition[INDEX.water] ?? 0) / 100;
  const { nature, family, treated } = food;
  const isNut = isNutOrSeed(food);
  const kind = isNut && treated?.ground ? (treated.ground === "fine" ? "ground seed" : "chopped nuts") : nature?.binding;
  const isOily = isNut && kind === "ground seed";
  const givenOff = isOily ? fat * (value.givenOff[nature?.botanical ?? ""] ?? value.givenOff.other ?? 0) : 0;
  const sticky: BindingPerGram = { ...NOTHING, supply: value.sticky, sticky: value.sticky };
  switch (kind) {
    case undefined:
    case null: {
      // A block of sugar is grated or cooked.
      if (family !== "sweetener" || nature === null || nature.form === "liquid" || nature.form === "syrup") return NOTHING;
      return treated?.dissolved ? sticky : { ...NOTHING, demand: value.demand["powdered sugar"] };
    }
    case "free fat":
      return { ...NOTHING, supply: fat + value.water * water };
    case "liquid":
      return { ...NOTHING, supply: value.water * water };
    case "sticky":
      return sticky;
    case "powdered sugar":
      return treated?.dissolved ? sticky : { ...NOTHING, demand: value.demand[kind] };
    default: {
      const own = learned[learnedKey.binding(food.id)];
      const demand = (isOily ? value.demandGivenOff : value.demand[kind]) * Math.exp(own?.ln ?? 0);
      return { ...NOTHING, demand, demandKnown: own ? demand * Math.max(0, UNLEARNED_SD.binding - own.sd) : 0, supply: givenOff };
    }
  }
}

/** Sums of a whole sweet, g of fat. */
type BindingSums = Pick<BindingPerGram, "demand" | "supply" | "sticky">;

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
export function bindingWords(sums: BindingSums, { binding: { value } }: Pick<Constants, "binding">): string {
  const ratio = bindingRatio(sums);
  const words = value.words.find(([upTo]) => ratio < upTo)?.[1];
  if (words) return words;
  return sums.sticky > sums.supply / 2 ? (ratio < STICKY_FROM ? "holds by what is sticky" : "sticky") : "greasy";
}
