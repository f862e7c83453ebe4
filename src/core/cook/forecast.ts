import { BATCHES_SD, UNLEARNED_SD } from "../food";
import { Z80 } from "../numeric";

/** A weight of what is in the pot, without the pan. */
export interface PotWeight {
  /** By the clock, ms. */
  readonly at: number;
  readonly grams: number;
  readonly sd: number;
  readonly by: "scale" | "stick";
}

/**
 * What a kitchen scale is unsure of with a pot on it: its step and where the pot stands.
 * @unit g
 * @range above 0
 * @source rule of thumb
 */
export const scaleSd = (grams: number): number => 1.5 + 0.002 * grams;

/** How far off a stick is read, cm: a rule of thumb; what boils is not still. */
const STICK_OFF = 0.3;
/**
 * What stands so deep in a round pan weighs, and how sure that is; cm, g per ml.
 * @unit g
 * @range 0 or more
 * @source volume of a cylinder, π·r²·h
 */
export function gramsByStick(centimetres: number, diameter: number, density: number): { readonly grams: number; readonly sd: number } {
  const perCentimetre = (Math.PI * diameter * diameter * density) / 4;
  return { grams: perCentimetre * centimetres, sd: perCentimetre * STICK_OFF };
}

/** What is known of how fast a pot boils away before it was weighed. */
export interface RatePrior {
  /** g a minute, of water alone. */
  readonly rate: number;
  /** Of its logarithm. */
  readonly sd: number;
}

/** The logarithm of a rate that only a table tells is off by so much (standard deviation). */
export const TABLE_RATE_SD = Math.hypot(UNLEARNED_SD.rate, BATCHES_SD.rate);
/** A straight line through weights is off by so much of its slope, whatever the scale says: the flame is never still. */
const LINE_OFF = 0.1;
/** Solids, as a share of the pot, at which nothing boils away any more, by `evaporationRate`. */
const NOTHING_LEFT = 0.75;
/** Up to here it is known how they slow it. */
const KNOWN_TO = 0.65;
const PARTS = 24;

export interface ForecastQuestion {
  readonly prior: RatePrior;
  /** Since something last changed, in their order. */
  readonly weights: readonly PotWeight[];
  /** What is believed to be in the pot where it was not weighed, g, at a moment, ms; `sd` of it. */
  readonly start: { readonly at: number; readonly grams: number; readonly sd: number };
  /** Of the pot, without fat, g. */
  readonly solids: number;
  /** To what it is cooked down, g. */
  readonly target: number;
  readonly now: number;
}

export interface Forecast {
  /** What is in the pot now, g, with its 80 % interval. */
  readonly grams: Spread;
  /** g a minute, now. */
  readonly rate: Spread;
  /** Minutes until the target; 0 where it is reached; null where the pot never comes to it. */
  readonly minutes: Spread | null;
  /** By how many weights it is told. */
  readonly weights: number;
  /** The pot from its first weight on, minutes from now and g, with its interval. */
  readonly curve: readonly { readonly minutes: number; readonly grams: Spread }[];
}
interface Spread {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

const slowedBy = (solids: number, grams: number): number => Math.max(0, 1 - (Math.min(KNOWN_TO, solids / Math.max(grams, 1e-9)) / NOTHING_LEFT) ** 3);

/** Weighted straight line through weights: grams at its middle, slope in g a minute, and what both are unsure of. */
function line(weights: readonly PotWeight[]) {
  const sum = (of: (weight: PotWeight) => number) => weights.reduce((all, weight) => all + of(weight) / weight.sd ** 2, 0);
  const all = sum(() => 1);
  const middle = sum(({ at }) => at) / all;
  const grams = sum((each) => each.grams) / all;
  const minutes = ({ at }: PotWeight) => (at - middle) / 60_000;
  const spread = sum((each) => minutes(each) ** 2);
  return {
    middle,
    grams,
    sd: Math.sqrt(1 / all),
    slope: spread > 0 ? sum((each) => minutes(each) * each.grams) / spread : 0,
    slopeSd: spread > 0 ? 1 / Math.sqrt(spread) : Infinity,
  };
}

/** How fast a pot boils away, as its weights show: of water alone, by ln and what that is unsure of. */
export interface RateSeen {
  readonly rate: number;
  /** Of its logarithm. */
  readonly sd: number;
}
type Line = ReturnType<typeof line>;
function rateOf({ slope, slopeSd, grams }: Pick<Line, "slope" | "slopeSd" | "grams">, solids: number): RateSeen | null {
  const seen = -slope;
  if (!(seen > 0) || !Number.isFinite(slopeSd)) return null;
  return { rate: seen / Math.max(0.05, slowedBy(solids, grams)), sd: Math.hypot(slopeSd / seen, LINE_OFF) };
}
/**
 * The rate that weights show; null where they tell none.
 * @unit g a minute, of water alone
 * @range above 0
 * @source regression of science.md §7
 */
export const rateSeen = (weights: readonly PotWeight[], solids: number): RateSeen | null => (weights.length < 2 ? null : rateOf(line(weights), solids));

/**
 * How long until a pot has boiled down: a rate by pan and flame, its logarithm a normal prior, combined with the slope of the weights
 * by their precisions; solids slow it as they thicken. 80 % intervals.
 * @unit minutes, g, g a minute
 * @range 0 or more
 * @source prior and regression of science.md §7; the rate slows by (1 − (solids/0.75)³)
 */
export function forecast({ prior, weights, start, solids, target, now }: ForecastQuestion): Forecast {
  const fit = weights.length > 0 ? line(weights) : null;
  const from = fit ?? { middle: start.at, grams: start.grams, sd: start.sd, slope: 0, slopeSd: Infinity };
  let log = { mean: Math.log(prior.rate), variance: prior.sd ** 2 };
  const seen = fit && rateOf(from, solids);
  if (seen) {
    const variance = seen.sd ** 2;
    const precision = 1 / log.variance + 1 / variance;
    log = { mean: (log.mean / log.variance + Math.log(seen.rate) / variance) / precision, variance: 1 / precision };
  }
  const sd = Math.sqrt(log.variance);
  const least = Math.max(solids / KNOWN_TO, 1);
  const at = (rate: number, minutes: number): number => {
    let grams = from.grams;
    const step = minutes / PARTS;
    for (let i = 0; i < PARTS; i++) grams = Math.max(Math.min(least, from.grams), grams - rate * slowedBy(solids, grams) * step);
    return grams;
  };
  const rates = { value: Math.exp(log.mean), low: Math.exp(log.mean - Z80 * sd), high: Math.exp(log.mean + Z80 * sd) };
  const passed = Math.max(0, (now - from.middle) / 60_000);
  const gramsAt = (minutes: number): Spread => {
    const value = at(rates.value, minutes);
    // What is unsure of the weight itself and of the rate since.
    const off = (other: number) => Math.hypot(value - other, Z80 * from.sd);
    return { value, low: Math.max(0, value - off(at(rates.high, minutes))), high: value + off(at(rates.low, minutes)) };
  };
  const grams = gramsAt(passed);
  const factor = slowedBy(solids, grams.value);
  const minutesFrom = (pot: number, rate: number): number | null => (pot <= target ? 0 : timeBetween(pot, target, rate, solids));
  const value = minutesFrom(grams.value, rates.value);
  const late = minutesFrom(grams.high, rates.value);
  const early = minutesFrom(grams.low, rates.value);
  const byRate = (rate: number) => minutesFrom(grams.value, rate);
  const quick = byRate(rates.high);
  const slow = byRate(rates.low);
  const minutes =
    value === null || late === null || early === null || quick === null || slow === null
      ? null
      : { value, low: Math.max(0, value - Math.hypot(value - quick, value - early)), high: value + Math.hypot(slow - value, late - value) };
  const until = passed + Math.max(6, 1.3 * (minutes?.high ?? 20));
  return {
    grams,
    rate: { value: rates.value * factor, low: rates.low * factor, high: rates.high * factor },
    minutes,
    weights: weights.length,
    curve: Array.from({ length: 25 }, (_, i) => ({ minutes: (until * i) / 24 - passed, grams: gramsAt((until * i) / 24) })),
  };
}

/** Minutes from one weight of a pot to a lower one; null where its solids do not let it come so far. */
function timeBetween(from: number, to: number, rate: number, solids: number): number | null {
  if (to * KNOWN_TO < solids * 0.999) return null;
  const step = (from - to) / PARTS;
  let minutes = 0;
  for (let i = 0; i < PARTS; i++) minutes += step / (rate * Math.max(1e-6, slowedBy(solids, from - (i + 0.5) * step)));
  return minutes;
}
