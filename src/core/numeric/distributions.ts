import jStat from "jstat";

/**
 * What of a standard normal lies below.
 * @unit share
 * @range 0 to 1
 * @source the normal distribution, by the package jstat
 */
export const normalBelow = (x: number): number => jStat.normal.cdf(x, 0, 1);

/**
 * How likely at least so many of so many trials succeed, each with the same chance.
 * @unit probability
 * @range 0 to 1; successes from 0 to trials
 * @source the binomial distribution, by the package jstat
 */
export const atLeast = (successes: number, trials: number, chance: number): number =>
  successes <= 0 ? 1 : Math.min(1, Math.max(0, 1 - jStat.binomial.cdf(successes - 1, trials, chance)));

/**
 * The most that a proportion may be where so many of so many succeeded, with a confidence, one-sided.
 * @unit share
 * @range 0 to 1
 * @source Clopper & Pearson (1934)
 */
export const proportionAtMost = (successes: number, trials: number, confidence: number): number =>
  successes >= trials ? 1 : jStat.beta.inv(confidence, successes + 1, trials - successes);

/**
 * How many standard errors a mean lies from the middle at most, with a confidence on both sides.
 * @unit standard errors
 * @range above 0
 * @source Student's t, by the package jstat
 */
export const tWithin = (confidence: number, degrees: number): number => jStat.studentt.inv((1 + confidence) / 2, degrees);
