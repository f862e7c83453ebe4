import type { HouseholdMeasures } from "../units";
import type { Food } from "../food";

const FRACTIONS: readonly (readonly [value: number, text: string])[] = [
  [0, ""],
  [1 / 8, "1/8"],
  [1 / 4, "1/4"],
  [1 / 3, "1/3"],
  [1 / 2, "1/2"],
  [2 / 3, "2/3"],
  [3 / 4, "3/4"],
  [1, ""],
];

/** Whole number and fraction nearest to x, as "1 1/2"; eighths only below one. */
export function nearestFraction(x: number): { readonly text: string; readonly value: number } {
  const whole = Math.floor(x);
  let best = FRACTIONS[0] ?? ([0, ""] as const);
  for (const fraction of FRACTIONS) {
    if (fraction[0] === 1 / 8 && whole > 0) continue;
    if (Math.abs(x - whole - fraction[0]) < Math.abs(x - whole - best[0])) best = fraction;
  }
  const carried = best[0] === 1 ? whole + 1 : whole;
  const part = best[0] === 1 ? "" : best[1];
  return { text: [carried > 0 || !part ? String(carried) : "", part].filter(Boolean).join(" "), value: whole + best[0] };
}

const NEAR = 0.1;
/** From this many spoons on, only whole ones are counted out. */
const MANY = 4;
/** Pieces that differ by more than this, as half their 80 % interval, are no measure to count out; nor where whole ones miss the grams by more than the second. */
const SURE_PIECE = 0.3;
const NEAR_PIECES = 0.2;

interface Unit {
  readonly word: string;
  readonly many: string;
  readonly size: number;
}

/** The vessels that a household would reach for at so many millilitres. */
function unitsFor(millilitres: number, measures: HouseholdMeasures): Unit[] {
  if (measures.words === "millilitres") return [];
  const large = measures.words === "katori" ? { word: "katori", many: "katori", size: measures.katori } : { word: "cup", many: "cups", size: measures.cup };
  return [
    ...(millilitres >= 0.24 * large.size ? [large] : []),
    ...(millilitres >= 0.93 * measures.tablespoon && millilitres < 0.96 * large.size ? [{ word: "tbsp", many: "tbsp", size: measures.tablespoon }] : []),
    ...(millilitres < 0.93 * measures.tablespoon ? [{ word: "tsp", many: "tsp", size: measures.teaspoon }] : []),
  ];
}

/** Millilitres as a jug is read: to 5 below 100, to 10 below 500, to 25 above; spoons hold what is less than 15. */
const jug = (millilitres: number): number => {
  const step = millilitres < 15 ? 1 : millilitres < 100 ? 5 : millilitres < 500 ? 10 : 25;
  return Math.max(step, Math.round(millilitres / step) * step);
};

/**
 * Grams of a food in the measure a kitchen would reach for, to the nearest usual fraction ("1 1/2 tbsp"), with what that
 * measure weighs; null where the food is only weighed.
 */
export function kitchenMeasure(food: Food, grams: number, measures: HouseholdMeasures): { readonly text: string; readonly grams: number } | null {
  const counted = food.counted.find(({ unit, grams: one, share }) => unit !== "can" && one >= 0.001 && (share <= SURE_PIECE || food.density === null));
  const count = counted ? Math.max(1, Math.round(grams / counted.grams)) : 0;
  // What can be measured another way is counted only where whole pieces come near it.
  const isNear = counted !== undefined && Math.abs((count * counted.grams) / grams - 1) <= NEAR_PIECES;
  if (
    counted &&
    grams / counted.grams <= 40 &&
    grams / counted.grams >= 0.5 &&
    (food.density === null || counted.unit === "strand" || (counted.grams >= 5 && isNear))
  ) {
    return { text: counted.unit === "piece" ? String(count) : `${count} ${counted.unit}${count > 1 ? "s" : ""}`, grams: count * counted.grams };
  }
  if (food.density === null) return null;
  const millilitres = grams / food.density;
  if (millilitres < 0.45) return millilitres > 0.1 ? { text: "a pinch", grams: 0.31 * food.density } : null;
  if (measures.words === "millilitres") return { text: `${jug(millilitres)} ml`, grams: jug(millilitres) * food.density };
  const { density } = food;
  const readings = unitsFor(millilitres, measures).map(({ word, many, size }) => {
    const count = millilitres / size;
    const spoon = word === "tbsp" || word === "tsp";
    const nearest = spoon && count >= MANY ? { text: String(Math.round(count)), value: Math.round(count) } : nearestFraction(count);
    return {
      text: `${nearest.text} ${nearest.value > 1 ? many : word}`,
      grams: nearest.value * size * density,
      off: Math.abs((nearest.value * size) / millilitres - 1),
    };
  });
  // The larger measure unless the smaller one is clearly nearer.
  const best = readings.find((reading) => reading.off <= NEAR) ?? readings.sort((x, y) => x.off - y.off)[0];
  return best ? { text: best.text, grams: best.grams } : null;
}
