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

type KeepingConstants = Pick<Constants, "waterActivity">;

type Value = KeepingConstants["waterActivity"]["value"];

/**
 * Moles of what is dissolved in so much water and the same weighed by Norrish's K, and how both move with the water: what the
 * water cannot hold of sucrose (beside the invert sugar) and of lactose is out of the solution.
 */
class Dissolved {
  all = 0;
  weighted = 0;
  allByWater = 0;
  weightedByWater = 0;
  isSaturated = false;
  isLeast = false;
  isLactoseOut = false;

  constructor(water: number, sums: WaterActivitySums, { solutes, sucroseDissolved: limit, lactoseDissolved }: Value) {
    const [least, most] = [limit.least * water, limit.most * water - limit.invert * sums.hexoses];
    this.isLeast = least >= most;
    this.isSaturated = sums.sucrose > Math.max(least, most);
    this.isLactoseOut = sums.lactose > lactoseDissolved * water;
    this.put(solutes.sucrose, this.isSaturated ? Math.max(least, most) : sums.sucrose, this.isSaturated ? (this.isLeast ? limit.least : limit.most) : 0);
    this.put(solutes.lactose, this.isLactoseOut ? lactoseDissolved * water : sums.lactose, this.isLactoseOut ? lactoseDissolved : 0);
    this.put(solutes.hexoses, sums.hexoses, 0);
    this.put(solutes.maltose, sums.maltose, 0);
    this.put(solutes.erythritol, sums.erythritol, 0);
    this.put(solutes.xylitol, sums.xylitol, 0);
    this.put(solutes.allulose, sums.allulose, 0);
    this.put(solutes.ash, sums.ash, 0);
  }
  private put({ grams, k }: { readonly grams: number; readonly k: number }, amount: number, byWater: number): void {
    this.all += amount / grams;
    this.weighted += (amount * k) / grams;
    this.allByWater += byWater / grams;
    this.weightedByWater += (byWater * k) / grams;
  }

  /** a = (1 − x)·exp(−K·x²), x the mole fraction of all solutes, K theirs by moles. */
  activity(water: number): number {
    const moles = water / GRAMS_PER_MOLE_OF_WATER;
    const total = this.all + moles;
    return (moles / total) * Math.exp((-this.weighted * this.all) / total ** 2);
  }
  /** ln a = ln(moles/total) − weighted·all/total², by moles of water, of all solutes, and of these weighed by K. */
  private slopesOfLog(water: number): readonly [byMoles: number, byAll: number, byWeighted: number] {
    const moles = water / GRAMS_PER_MOLE_OF_WATER;
    const total = this.all + moles;
    const bend = (2 * this.weighted * this.all) / total ** 3;
    return [1 / moles - 1 / total + bend, -1 / total - this.weighted / total ** 2 + bend, -this.all / total ** 2];
  }
  /** Activity by grams of water. */
  byWater(water: number): number {
    const [byMoles, byAll, byWeighted] = this.slopesOfLog(water);
    return this.activity(water) * (byMoles / GRAMS_PER_MOLE_OF_WATER + byAll * this.allByWater + byWeighted * this.weightedByWater);
  }
  /** Activity by grams of each solute, the water kept. */
  bySolutes(water: number, { solutes, sucroseDissolved: limit }: Value): Record<Solute, number> {
    const [, byAll, byWeighted] = this.slopesOfLog(water);
    const activity = this.activity(water);
    const by = (solute: Solute) => (activity * (byAll + byWeighted * solutes[solute].k)) / solutes[solute].grams;
    const slopes = Object.fromEntries(SOLUTES.map((solute) => [solute, by(solute)])) as Record<Solute, number>;
    if (this.isSaturated) {
      if (!this.isLeast) slopes.hexoses -= by("sucrose") * limit.invert;
      slopes.sucrose = 0;
    }
    if (this.isLactoseOut) slopes.lactose = 0;
    return slopes;
  }
}

/** Water that polymers hold at an activity, g, and how that moves with it: Oswin's A·(a/(1 − a))^B of each. */
function held(activity: number, sums: WaterActivitySums, { polymers: { starch, protein, fibre } }: Value): readonly [grams: number, byActivity: number] {
  const log = Math.log(activity / (1 - activity));
  const of = (grams: number, { a, b }: { readonly a: number; readonly b: number }) => (grams > 0 ? grams * a * Math.exp(b * log) : 0);
  const [byStarch, byProtein, byFibre] = [of(sums.starch, starch), of(sums.protein, protein), of(sums.fibre, fibre)];
  return [byStarch + byProtein + byFibre, (byStarch * starch.b + byProtein * protein.b + byFibre * fibre.b) / (activity * (1 - activity))];
}

const MOST_ACTIVE = 1 - 1e-9;
const MOST_STEPS = 60;
const CLOSE = 1e-12;

/**
 * Water activity, 0 to 1, with its derivative by each sum: of the solution by Norrish (1966), mixtures weighed by moles
 * (Chirife 1980); polymers hold water by Oswin (1946). Found by Newton's steps on the water that is in the solution, kept between bounds.
 */
export function waterActivityWithSlopes(
  sums: WaterActivitySums,
  { waterActivity: { value } }: KeepingConstants,
): { readonly value: number; readonly slopes: WaterActivitySums } {
  if (sums.water <= 1e-9) return { value: 0, slopes: NO_SLOPES };
  let [low, high] = [0, sums.water];
  let free = sums.water;
  for (let i = 0; i < MOST_STEPS; i++) {
    const dissolved = new Dissolved(free, sums, value);
    const activity = Math.min(MOST_ACTIVE, dissolved.activity(free));
    const [grams, byActivity] = held(activity, sums, value);
    const off = free + grams - sums.water;
    if (Math.abs(off) <= CLOSE * sums.water) break;
    if (off > 0) high = free;
    else low = free;
    const next = free - off / (1 + byActivity * dissolved.byWater(free));
    free = next > low && next < high ? next : (low + high) / 2;
    if (high - low <= CLOSE * sums.water) break;
  }
  if (free < NO_SOLUTION * sums.water) return heldAlone(sums, value);
  const dissolved = new Dissolved(free, sums, value);
  const activity = Math.min(MOST_ACTIVE, dissolved.activity(free));
  // So near 1 nothing is told apart.
  if (activity === MOST_ACTIVE) return { value: activity, slopes: NO_SLOPES };
  // Implicit: w + held(a(w)) = water.
  const byWater = dissolved.byWater(free);
  const whole = 1 + held(activity, sums, value)[1] * byWater;
  const slopes = { ...NO_SLOPES } as { -readonly [K in keyof WaterActivitySums]: number };
  slopes.water = byWater / whole;
  const bySolutes = dissolved.bySolutes(free, value);
  for (const solute of SOLUTES) slopes[solute] = bySolutes[solute] / whole;
  for (const polymer of POLYMERS) slopes[polymer] = (-held(activity, { ...NO_SLOPES, [polymer]: 1 }, value)[0] * byWater) / whole;
  return { value: activity, slopes };
}
/** Less free water than this share, and there is no solution: what crystallises holds none, polymers have it all. */
const NO_SOLUTION = 1e-9;

/** Where polymers hold all the water: Σ A·(a/(1 − a))^B of them is the water that there is. */
function heldAlone(sums: WaterActivitySums, value: Value): { readonly value: number; readonly slopes: WaterActivitySums } {
  let [low, high] = [1e-9, MOST_ACTIVE];
  for (let i = 0; i < MOST_STEPS; i++) {
    const middle = (low + high) / 2;
    if (held(middle, sums, value)[0] > sums.water) high = middle;
    else low = middle;
  }
  const activity = (low + high) / 2;
  const [, byActivity] = held(activity, sums, value);
  if (!(byActivity > 0)) return { value: activity, slopes: NO_SLOPES };
  const slopes = { ...NO_SLOPES, water: 1 / byActivity };
  for (const polymer of POLYMERS) slopes[polymer] = -held(activity, { ...NO_SLOPES, [polymer]: 1 }, value)[0] / byActivity;
  return { value: activity, slopes };
}
const NO_SLOPES: WaterActivitySums = {
  water: 0,
  sucrose: 0,
  hexoses: 0,
  maltose: 0,
  lactose: 0,
  erythritol: 0,
  xylitol: 0,
  allulose: 0,
  ash: 0,
  starch: 0,
  protein: 0,
  fibre: 0,
};

/**
 * Half the 80 % interval of a water activity from its model alone.
 * @unit water activity
 * @range 0 to 1
 * @source ±0.03 above 0.75, ±0.05 below (rule of thumb)
 */
export const waterActivityHalfWidth = (value: number): number => (value > 0.75 ? 0.03 : 0.05);
