import { withShare, type Estimate } from "../numeric";
import { MEASURE_SHARE, type Filling, type HouseholdMeasures } from "../units";
import type { Food } from "../food";
import { measureAmounts } from "./measure-amount";

/** What one measure of a food weighs, filled or cut in one way. */
export interface FoodMeasure {
  readonly unit: "cup" | "katori" | "tablespoon" | "teaspoon";
  readonly grams: Estimate;
}

export interface FoodMeasures {
  /** "level", "heaped", "packed", "chopped", "cooked" … */
  readonly form: string;
  readonly of: readonly FoodMeasure[];
}

/** Fillings worth telling: what pours has none; what is whole or in pearls heaps, but cannot be pressed down. */
function fillingsOf({ pours, density, nature, forms }: Food): readonly Filling[] {
  if (pours || density === null) return [];
  const firm = nature !== null && ["whole", "split", "pearls", "grits", "puffed", "paste", "block"].includes(nature.form);
  return (firm ? (["heaped"] as const) : (["heaped", "packed", "loose"] as const)).filter((filling) => !(filling in forms));
}

/** What a household's cup and spoons of a food weigh, by filling and form, as lines that say so are read; none where it is only weighed. */
export function foodMeasures(food: Food, measures: HouseholdMeasures): FoodMeasures[] {
  const cup = measures.words === "katori" ? "katori" : "cup";
  const row = (form: string, words: string): FoodMeasures[] => {
    const of = ([cup, "tablespoon", "teaspoon"] as const).flatMap((unit): FoodMeasure[] => {
      const read = measureAmounts([{ quantity: 1, upper: null, unit, size: null, filling: null }], food, words, null, measures);
      return read.kind === "weighed" ? [{ unit, grams: read.grams }] : [];
    });
    return of.length > 0 ? [{ form, of }] : [];
  };
  const cooked = food.cooked && withShare(measures[cup] * food.cooked.density, MEASURE_SHARE.spoon);
  return [
    ...row("level", ""),
    ...fillingsOf(food).flatMap((filling) => row(filling, filling)),
    ...Object.keys(food.forms).flatMap((form) => row(form, form)),
    ...(cooked ? [{ form: "cooked", of: [{ unit: cup, grams: cooked } as const] }] : []),
  ];
}
