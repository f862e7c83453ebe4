import { Z80 } from "../numeric";
import { MEASURE_SHARE, type HouseholdMeasures } from "../units";
import type { Food, WeighedMeasure } from "../food";

/** One weighing of one filled measure of a food. */
export interface Weighing {
  readonly id: string;
  readonly foodId: string;
  readonly unit: string;
  /** "chopped", "packed" …; empty for the plain one. */
  readonly form: string;
  readonly grams: number;
  /** ISO date-time. */
  readonly at: string;
}

/** Units that can be weighed of any food; a food's own pieces come beside them. */
export const WEIGHED_UNITS = [
  "cup", "katori", "tablespoon", "teaspoon", "handful", "ladle", "piece", "pinch", "knob", "glass", "mug", "vati", "shot", "spoon", "bowl",
  "marble-sized", "thumb-sized", "walnut-sized", "lime-sized", "lemon-sized", "egg-sized", "fist-sized",
] as const; // prettier-ignore
const VESSELS = ["cup", "katori", "tablespoon", "teaspoon"] as const;
const USUAL_SHARE: Readonly<Record<string, number>> = {
  cup: MEASURE_SHARE.cup,
  katori: MEASURE_SHARE.cup,
  tablespoon: MEASURE_SHARE.spoon,
  teaspoon: MEASURE_SHARE.spoon,
  handful: MEASURE_SHARE.handful,
  pinch: MEASURE_SHARE.pinch,
  knob: MEASURE_SHARE.handful,
};
/** No filling repeats more closely than this, half the 80 % interval as a share (rule of thumb). */
const LEAST_SHARE = 0.02;

/**
 * What the weighings of one food come to, by unit and form: the mean, and how far one more filling may be off. After one
 * weighing that is the usual share of the measure; after more it is their own spread, Z80·s·√(1 + 1/n) of the mean,
 * drawn towards the usual share while they are few.
 */
export function weighedMeasures(weighings: readonly Weighing[]): WeighedMeasure[] {
  const groups = new Map<string, Weighing[]>();
  for (const weighing of weighings) {
    const key = JSON.stringify([weighing.unit, weighing.form]);
    groups.set(key, [...(groups.get(key) ?? []), weighing]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group;
    if (!first) return [];
    const n = group.length;
    const mean = group.reduce((sum, { grams }) => sum + grams, 0) / n;
    const usual = USUAL_SHARE[first.unit] ?? MEASURE_SHARE.piece;
    const variance = n > 1 ? group.reduce((sum, { grams }) => sum + (grams - mean) ** 2, 0) / (n - 1) : 0;
    const own = mean > 0 ? (Z80 * Math.sqrt(variance * (1 + 1 / n))) / mean : 0;
    // The usual share counts as two weighings' worth of knowledge.
    const share = n === 1 ? usual : Math.sqrt((2 * usual ** 2 + (n - 1) * own ** 2) / (n + 1));
    return [
      {
        unit: first.unit,
        form: first.form,
        grams: mean,
        share: Math.max(LEAST_SHARE, share),
        times: n,
        at:
          group
            .map(({ at }) => at)
            .sort()
            .at(-1) ?? first.at,
      },
    ];
  });
}

/** A food with the household's own weighings in it; the largest vessel weighed gives its density for what is shown in cups. */
export function withWeighings(food: Food, weighings: readonly Weighing[], measures: HouseholdMeasures): Food {
  const weighed = weighedMeasures(weighings);
  if (weighed.length === 0) return food;
  const vessel = VESSELS.find((unit) => weighed.some((measure) => measure.unit === unit && measure.form === ""));
  const grams = weighed.find((measure) => measure.unit === vessel && measure.form === "")?.grams;
  return { ...food, weighed, density: vessel && grams !== undefined ? grams / measures[vessel] : food.density };
}
