import type { Constants } from "../../food";

/** Grams in a sweet of what its water activity rests on. */
export interface WaterActivitySums {
  readonly water: number;
  readonly sucrose: number;
  readonly hexoses: number;
  readonly maltose: number;
  readonly lactose: number;
  readonly erythritol: number;
  readonly xylitol: number;
  readonly allulose: number;
  readonly ash: number;
  readonly starch: number;
  readonly protein: number;
  readonly fibre: number;
}
export const WATER_ACTIVITY_SUMS = [
  "water",
  "sucrose",
  "hexoses",
  "maltose",
  "lactose",
  "erythritol",
  "xylitol",
  "allulose",
  "ash",
  "starch",
  "protein",
  "fibre",
] as const satisfies readonly (keyof WaterActivitySums)[];
type Solute = "sucrose" | "hexoses" | "maltose" | "lactose" | "erythritol" | "xylitol" | "allulose" | "ash";
const SOLUTES: readonly Solute[] = ["sucrose", "hexoses", "maltose", "lactose", "erythritol", "xylitol", "allulose", "ash"];
const POLYMERS = ["starch", "protein", "fibre"] as const;

const GRAMS_PER_MOLE_OF_WATER = 18.015;
const STEPS = 48;

type KeepingConstants = Pick<Constants, "waterActivity">;

/** A solution: its activity, and how that moves with its water (at the solutes there are, what crystallises left aside) and with each solute. */
interface Solution {
  readonly activity: number;
  readonly byWater: number;
  readonly bySolute: Readonly<Record<Solute, number>>;
}

/** Moles of what is dissolved in so much water, and the same weighed by Norrish's K. What the water cannot hold is out of the solution. */
function dissolvedIn(water: number, sums: WaterActivitySums, value: KeepingConstants["waterActivity"]["value"]) {
  const { solutes, sucroseDissolved: limit, lactoseDissolved } = value;
  const isFloor = limit.least * water >= limit.most * water - limit.invert * sums.hexoses;
  const most = isFloor ? limit.least * water : limit.most * water - limit.invert * sums.hexoses;
  const isSaturated = sums.sucrose > most;
  const isLactoseOut = sums.lactose > lactoseDissolved * water;
  let [all, weighted] = [0, 0];
  for (const solute of SOLUTES) {
    const grams = solute === "sucrose" && isSaturated ? most : solute === "lactose" && isLactoseOut ? lactoseDissolved * water : sums[solute];
    const n = grams / solutes[solute].grams;
    all += n;
    weighted += n * solutes[solute].k;
  }
  return { all, weighted, isFloor, isSaturated, isLactoseOut };
}

/** a = (1 − x)·exp(−K·x²), x the mole fraction of all solutes, K theirs by moles. */
const norrish = (moles: number, all: number, weighted: number): number => (moles / (all + moles)) * Math.exp((-weighted * all) / (all + moles) ** 2);

function solution(water: number, sums: WaterActivitySums, { waterActivity: { value } }: KeepingConstants): Solution {
  const { all, weighted, isFloor, isSaturated, isLactoseOut } = dissolvedIn(water, sums, value);
  const { solutes, sucroseDissolved: limit, lactoseDissolved } = value;
  const moles = water / GRAMS_PER_MOLE_OF_WATER;
  const total = all + moles;
  const activity = norrish(moles, all, weighted);
  // ln a = ln(moles/total) − weighted·all/total².
  const byMoles = activity * (1 / moles - 1 / total + (2 * weighted * all) / total ** 3);
  const by = (solute: Solute) =>
    (activity * (-1 / total - (solutes[solute].k * all + weighted) / total ** 2 + (2 * weighted * all) / total ** 3)) / solutes[solute].grams;
  const bySolute = Object.fromEntries(SOLUTES.map((solute) => [solute, by(solute)])) as Record<Solute, number>;
  let byWater = byMoles / GRAMS_PER_MOLE_OF_WATER;
  if (isSaturated) {
    byWater += by("sucrose") * (isFloor ? limit.least : limit.most);
    if (!isFloor) bySolute.hexoses -= by("sucrose") * limit.invert;
    bySolute.sucrose = 0;
  }
  if (isLactoseOut) {
    byWater += by("lactose") * lactoseDissolved;
    bySolute.lactose = 0;
  }
  return { activity, byWater, bySolute };
}

/**
 * Water activity, 0 to 1, with its derivative by each sum: of the solution by Norrish (1966), mixtures weighed by moles
 * (Chirife 1980); polymers hold water by Oswin (1946), g/g = A·(a/(1 − a))^B. Found by bisection on the water that is in the solution.
 */
export function waterActivityWithSlopes(sums: WaterActivitySums, constants: KeepingConstants): { readonly value: number; readonly slopes: WaterActivitySums } {
  const { polymers } = constants.waterActivity.value;
  const none = Object.fromEntries(WATER_ACTIVITY_SUMS.map((sum) => [sum, 0])) as unknown as WaterActivitySums;
  if (sums.water <= 1e-9) return { value: 0, slopes: none };
  const heldPerGram = (polymer: (typeof POLYMERS)[number], a: number) => polymers[polymer].a * (a / (1 - a)) ** polymers[polymer].b;
  const held = (a: number) => POLYMERS.reduce((sum, polymer) => sum + sums[polymer] * heldPerGram(polymer, a), 0);
  const most = 1 - 1e-9;
  let [low, high] = [sums.water * 1e-9, sums.water];
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    const { all, weighted } = dissolvedIn(middle, sums, constants.waterActivity.value);
    if (middle + held(Math.min(most, norrish(middle / GRAMS_PER_MOLE_OF_WATER, all, weighted))) > sums.water) high = middle;
    else low = middle;
  }
  const found = solution((low + high) / 2, sums, constants);
  const a = Math.min(most, found.activity);
  // Implicit: w + held(a(w)) = water.
  const heldByA = POLYMERS.reduce((sum, polymer) => sum + (sums[polymer] * heldPerGram(polymer, a) * polymers[polymer].b) / (a * (1 - a)), 0);
  const whole = 1 + heldByA * found.byWater;
  const slopes = { ...none } as { -readonly [K in keyof WaterActivitySums]: number };
  slopes.water = found.byWater / whole;
  for (const solute of SOLUTES) slopes[solute] = found.bySolute[solute] / whole;
  for (const polymer of POLYMERS) slopes[polymer] = (-heldPerGram(polymer, a) * found.byWater) / whole;
  return { value: a, slopes };
}

/**
 * Half the 80 % interval of a water activity from its model alone.
 * @unit water activity
 * @range 0 to 1
 * @source ±0.03 above 0.75, ±0.05 below (rule of thumb)
 */
export const waterActivityHalfWidth = (value: number): number => (value > 0.75 ? 0.03 : 0.05);
