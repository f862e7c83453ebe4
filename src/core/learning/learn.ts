import type { Learned, LearnedFactor } from "../food";
import { normalBelow } from "../numeric";
import type { LearningWish } from "../household";
import { KINDS_LEARNED, kindOf, type LearnedKind } from "./kinds";

/** What one batch showed of quantities that are learned: the logarithm of what came out by what the tables say. */
export interface Outcome {
  /** Of what, each with how much it moves the outcome: 1 where it is of that alone. All of one kind. */
  readonly of: Readonly<Record<string, number>>;
  /** Or between which it lies, where a word says no more; null: nobody knows how far. */
  readonly ln: number | readonly [low: number | null, high: number | null];
  /** What the measurement itself leaves open, as a standard deviation of it. */
  readonly sd: number;
  /** When it was done, ms. */
  readonly at: number;
  readonly batch: string;
}

/** An outcome further off than so many standard deviations counts for less: something else was wrong with that batch. */
const FAR = 2.5;
/** A batch counts to what it is at least so much of. */
const COUNTS = 0.25;

/**
 * What outcomes come to: logarithms, a normal prior of each quantity about the tables, each outcome a weighted sum of them with its own
 * spread, taken one after the other (the Kalman filter of a state that stays). What is far off is taken as less sure, as Huber (1964)
 * does. How much batches of one house differ is learned too.
 * @source conjugate normal update of science.md §4, §5, §7; the spreads are rules of thumb
 */
export function learn(outcomes: readonly Outcome[], { anew = {} }: LearningWish = {}): Learned {
  const used = outcomes.flatMap((outcome): Used[] => {
    const of = Object.entries(outcome.of).filter(([key, weight]) => weight !== 0 && kindOf(key) !== null);
    const [main] = of.reduce<readonly [string, number]>((most, each) => (Math.abs(each[1]) > Math.abs(most[1]) ? each : most), ["", 0]);
    // What is learned anew forgets what came before.
    return of.length === 0 || outcome.at <= (anew[main] ?? -Infinity) || !isTold(outcome.ln) ? [] : [{ ...outcome, of, kind: kindOf(main) ?? "rate" }];
  });
  used.sort((a, b) => a.at - b.at || (a.batch < b.batch ? -1 : 1));
  const usual = (key: string) => KINDS_LEARNED[kindOf(key) ?? "rate"].between;
  const first = taken(used, usual);
  const between = new Map([...first.keys()].map((key) => [key, betweenOf(key, used, first.get(key)?.ln ?? 0)] as const));
  const batches = (key: string) =>
    new Set(used.flatMap(({ of, batch }) => (of.some(([each, weight]) => each === key && weight >= COUNTS) ? [batch] : []))).size;
  return Object.fromEntries(
    [...taken(used, (key) => between.get(key) ?? usual(key))].flatMap(([key, { ln, sd }]): [string, LearnedFactor][] => {
      const count = batches(key);
      return count === 0 ? [] : [[key, { ln, sd: Math.hypot(sd, between.get(key) ?? 0), batches: count }]];
    }),
  );
}

/** An outcome that counts: its weights as a list, and its kind. */
type Used = Omit<Outcome, "of"> & { readonly of: readonly (readonly [key: string, weight: number])[]; readonly kind: LearnedKind };

/** The rule of thumb of how much batches differ counts as so many batches. */
const THUMB = 4;
/**
 * How much batches of one house differ in a quantity: the rule of thumb, put right by what its own have shown. Words that say only between
 * what it lies count where they contradict what the others say: they make it less sure, and never surer.
 */
function betweenOf(key: string, used: readonly Used[], mean: number): number {
  const { between, each } = KINDS_LEARNED[kindOf(key) ?? "rate"];
  if (between === 0) return 0;
  const alone = used.filter(({ of }) => of.length === 1 && of[0]?.[0] === key && of[0][1] === 1);
  const squares = alone.map(({ ln, sd }) => {
    const [low, high] = typeof ln === "number" ? [ln, ln] : ln;
    const off = Math.max(0, (low ?? -Infinity) - mean, mean - (high ?? Infinity));
    return Math.max(0, Math.min(off ** 2, (4 * between) ** 2) - sd ** 2 - each ** 2);
  });
  const shown = Math.sqrt((THUMB * between ** 2 + squares.reduce((sum, square) => sum + square, 0)) / (THUMB + Math.max(0, squares.length - 1)));
  return alone.some(({ ln }) => typeof ln !== "number") ? Math.max(between, shown) : shown;
}

/** Means and standard deviations of all quantities that outcomes are of, taken one after the other. */
function taken(used: readonly Used[], between: (key: string) => number): ReadonlyMap<string, { readonly ln: number; readonly sd: number }> {
  const keys = [...new Set(used.flatMap(({ of }) => of.map(([key]) => key)))];
  const place = new Map(keys.map((key, i) => [key, i] as const));
  const mean = keys.map(() => 0);
  const variance = keys.map((key, i) => keys.map((_, k) => (i === k ? KINDS_LEARNED[kindOf(key) ?? "rate"].prior ** 2 : 0)));
  for (const { of, ln, sd, kind } of used) {
    const weights = of.map(([key, weight]) => [place.get(key) ?? 0, weight] as const);
    const { drift = 0 } = KINDS_LEARNED[kind];
    for (const [k] of weights) {
      const row = variance[k];
      if (row) row[k] = (row[k] ?? 0) + drift ** 2;
    }
    // What moves it, as each quantity sees it.
    const together = keys.map((_, i) => weights.reduce((sum, [k, weight]) => sum + weight * (variance[i]?.[k] ?? 0), 0));
    const own = weights.reduce((sum, [k, weight]) => sum + weight * (together[k] ?? 0), 0);
    if (!(own > 0)) continue;
    const expected = weights.reduce((sum, [k, weight]) => sum + weight * (mean[k] ?? 0), 0);
    const differs = of.reduce((most, [key]) => Math.max(most, between(key)), 0);
    const { off, left } = heard(ln, expected, own, sd ** 2 + KINDS_LEARNED[kind].each ** 2 + differs ** 2);
    for (let i = 0; i < keys.length; i++) {
      const gain = (together[i] ?? 0) / own;
      mean[i] = (mean[i] ?? 0) + gain * off;
      const row = variance[i];
      if (row) for (let k = 0; k < keys.length; k++) row[k] = (row[k] ?? 0) - gain * (together[k] ?? 0) * (1 - left);
    }
  }
  return new Map(keys.map((key, i) => [key, { ln: mean[i] ?? 0, sd: Math.sqrt(Math.max(0, variance[i]?.[i] ?? 0)) }]));
}

const isTold = (ln: Outcome["ln"]): boolean => (typeof ln === "number" ? Number.isFinite(ln) : ln.some((end) => end !== null));

/**
 * What an outcome says of what moves it: how far that moves from what was expected, and what share of its variance `own` is left. A
 * word that only says between what it lies is taken by the mean and variance of the normal that is cut there.
 */
function heard(ln: Outcome["ln"], expected: number, own: number, noise: number): { readonly off: number; readonly left: number } {
  const whole = own + noise;
  if (typeof ln === "number") {
    const off = ln - expected;
    const far = Math.max(1, Math.abs(off) / (FAR * Math.sqrt(whole)));
    const all = own + noise * far ** 2;
    return { off: (own / all) * off, left: 1 - own / all };
  }
  const spread = Math.sqrt(whole);
  const [low, high] = ln.map((end, i) =>
    end === null ? (i === 0 ? -FARTHEST : FARTHEST) : Math.max(-FARTHEST, Math.min(FARTHEST, (end - expected) / spread)),
  );
  const [a = -FARTHEST, b = FARTHEST] = [low, high];
  const inside = normalBelow(b) - normalBelow(a);
  // So far off that it is next to impossible: as if it lay at the nearer end.
  if (!(inside > 1e-6)) return heard(expected + spread * (Math.abs(a) < Math.abs(b) ? a : b), expected, own, noise);
  const middle = (density(a) - density(b)) / inside;
  const narrower = 1 + (a * density(a) - b * density(b)) / inside - middle ** 2;
  const share = own / whole;
  return { off: share * middle * spread, left: 1 - share * (1 - Math.max(0, narrower)) };
}
/** Beyond so many standard deviations there is nothing. */
const FARTHEST = 8;
const density = (x: number): number => Math.exp(-(x ** 2) / 2) / Math.sqrt(2 * Math.PI);
