import { normalBelow, Z80 } from "../numeric";
import { chanceOf } from "./chance";

/** Sugar water that all others are held against, g per 100 g; and how much sweeter the others are. */
export const LADDER_BASE = 5;
export const LADDER_STEPS = [0.05, 0.1, 0.15, 0.2, 0.3] as const;

/** One pair: how much sweeter one of the two was, and whether it was found. */
export interface LadderTrial {
  readonly step: number;
  readonly isRight: boolean;
}

/** What is known of the difference that somebody just notices: that is told three times in four. */
export interface NoticedDifference {
  readonly trials: number;
  /** Shares of the sweetness; 80 %. */
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Fewer trials, or wider than this, tell too little. */
  readonly isEnough: boolean;
  /** What is to be said of it. */
  readonly words: string;
}

/** Differences that are looked at, spread evenly by the logarithm, from what nobody tells to what everybody does. */
const [LEAST, MOST, CELLS] = [0.015, 1, 160] as const;
const GRID: readonly number[] = Array.from({ length: CELLS }, (_, i) => LEAST * (MOST / LEAST) ** (i / (CELLS - 1)));
/** Before any trial: most people lie between a tenth and a quarter. A rule of thumb, wide. */
const [USUAL, SPREAD] = [0.15, 0.75];
/** Once in so often the wrong cup is named whatever it tastes like. */
const LAPSE = 0.04;
/** Of a normal, what lies below it is three quarters. */
const THREE_QUARTERS = 0.6745;
/** How much what is noticed differs from day to day, as a standard deviation of its logarithm: a rule of thumb. */
const DAYS = 0.15;
const ENOUGH_TRIALS = 30;
const WIDEST = 3;

/** How likely the sweeter of two is named. Two cups, one has to be named (Green & Swets 1966): half the time by guessing, by the normal beyond. */
const rightChance = (step: number, noticed: number): number =>
  LAPSE / 2 + (1 - LAPSE) * normalBelow((THREE_QUARTERS * Math.log(1 + step)) / Math.log(1 + noticed));

function believed(trials: readonly LadderTrial[]): readonly number[] {
  const weights = GRID.map((noticed) => {
    const prior = -((Math.log(noticed / USUAL) / SPREAD) ** 2) / 2;
    return trials.reduce((sum, { step, isRight }) => {
      const right = rightChance(step, noticed);
      return sum + Math.log(isRight ? right : 1 - right);
    }, prior);
  });
  const largest = Math.max(...weights);
  const all = weights.map((weight) => Math.exp(weight - largest));
  const total = all.reduce((sum, each) => sum + each, 0);
  return all.map((each) => each / total);
}

/**
 * What trials say of the difference that somebody just notices: middle and 80 % interval of what is believed after them, from a wide
 * prior about 15 %.
 * @source method of constant stimuli with two cups, Bayes on a grid; "three times in four" as usual for two-alternative forced choice
 */
export function noticedDifference(trials: readonly LadderTrial[]): NoticedDifference {
  const weights = believed(trials);
  const at = (share: number) => {
    let sum = 0;
    for (const [i, weight] of weights.entries()) {
      sum += weight;
      if (sum >= share) return GRID[i] ?? MOST;
    }
    return MOST;
  };
  const value = at(0.5);
  // However many pairs: another day the palate is another.
  const wider = (end: number) => Math.hypot(Math.log(end / value), trials.length === 0 ? 0 : Z80 * DAYS);
  const [low, high] = [value * Math.exp(-wider(at(0.1))), value * Math.exp(wider(at(0.9)))];
  const isEnough = trials.length >= ENOUGH_TRIALS && high / low <= WIDEST;
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  const words =
    trials.length === 0
      ? "Nothing is known yet."
      : isEnough
        ? `A difference of ${percent(value)} is just noticed, between ${percent(low)} and ${percent(high)}.`
        : `Too few pairs to tell${trials.length < ENOUGH_TRIALS ? `: ${trials.length} of ${ENOUGH_TRIALS}` : ": the answers do not agree yet"}. It may be anything from ${percent(low)} to ${percent(high)}.`;
  return { trials: trials.length, value, low, high, isEnough, words };
}

/**
 * By how much the next pair differs: the step from whose answer most is learned, by the entropy of what is believed.
 * @unit share of the sweetness
 * @range the steps of the ladder
 * @source Kontsevich & Tyler (1999)
 */
export function nextStep(trials: readonly LadderTrial[]): number {
  const weights = believed(trials);
  const expected = LADDER_STEPS.map((step) => {
    const right = weights.reduce((sum, weight, i) => sum + weight * rightChance(step, GRID[i] ?? 1), 0);
    const entropyOf = (isRight: boolean, share: number) =>
      weights.reduce((sum, weight, i) => {
        const chance = rightChance(step, GRID[i] ?? 1);
        const after = (weight * (isRight ? chance : 1 - chance)) / share;
        return after > 0 ? sum - after * Math.log(after) : sum;
      }, 0);
    return { step, entropy: right * entropyOf(true, right) + (1 - right) * entropyOf(false, 1 - right) };
  });
  return expected.reduce((best, each) => (each.entropy < best.entropy ? each : best)).step;
}

/** A pair as it is served: two cups by their codes, in the order in which they are tasted, and which of them is the sweeter. */
export interface LadderPair {
  readonly step: number;
  readonly cups: readonly [first: string, second: string];
  readonly sweeter: string;
}
/** The pair of a seed and step: codes of three figures that say nothing, either one the sweeter. */
export function ladderPair(step: number, seed: number): LadderPair {
  const chance = chanceOf(seed);
  const first = chance.whole(100, 999);
  const other = chance.whole(100, 998);
  const second = other >= first ? other + 1 : other;
  return { step, cups: [String(first), String(second)], sweeter: String(chance.whole(0, 1) === 0 ? first : second) };
}

/** What is weighed for a glass, g in so much water: of a step, 0 for the base. */
export const sugarFor = (step: number, solution: number): { readonly sugar: number; readonly water: number } => {
  const sugar = (solution * LADDER_BASE * (1 + step)) / 100;
  return { sugar, water: solution - sugar };
};
