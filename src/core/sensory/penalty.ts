import { tWithin, type Figure } from "../numeric";
import { ATTRIBUTES, type Attribute, type TastingAnswer } from "./answers";

/** From so many answers on penalties are told; below it, plain counts. */
export const PENALTY_FROM = 20;
/** An end that fewer than this share chose is not weighed: the usual rule of practice, with no fewer than so many answers. */
const LEAST_SHARE = 0.2;
const LEAST = 3;

/** What it costs that a sweet is not just right: how many found it so, and how much less they like it. */
export interface Penalty {
  readonly attribute: Attribute;
  readonly end: "too little" | "too much";
  /** Of those who answered. */
  readonly share: number;
  readonly answers: number;
  /** Mean liking of those who find it just right less that of these, steps of 9, with its 80 % interval. */
  readonly drop: Figure;
}

/**
 * Penalty analysis: mean drop of liking for those off "just right", by end, with the interval of a difference of two means of unequal
 * spread (Welch 1947). Empty below 20 answers with a liking.
 * @unit steps of the nine-point scale of liking
 */
export function penalties(answers: readonly TastingAnswer[]): readonly Penalty[] {
  return ATTRIBUTES.flatMap((attribute): Penalty[] => {
    const told = answers.flatMap(({ steps, liking }) => (steps[attribute] === undefined || liking === null ? [] : [{ step: steps[attribute], liking }]));
    if (told.length < PENALTY_FROM) return [];
    const likings = (is: (step: number) => boolean) => told.flatMap(({ step, liking }) => (is(step) ? [liking] : []));
    const right = likings((step) => step === 0);
    return (["too little", "too much"] as const).flatMap((end): Penalty[] => {
      const off = likings((step) => (end === "too little" ? step < 0 : step > 0));
      const share = off.length / told.length;
      if (share < LEAST_SHARE || off.length < LEAST || right.length < LEAST) return [];
      return [{ attribute, end, share, answers: told.length, drop: differenceOf(right, off) }];
    });
  });
}

const mean = (of: readonly number[]): number => of.reduce((sum, each) => sum + each, 0) / of.length;
/** Spread of a mean, squared; answers are whole steps, so that equal ones are not sure to a hair. */
const ROUNDED = 1 / 12;
function errorOf(of: readonly number[]): number {
  const middle = mean(of);
  return (of.reduce((sum, each) => sum + (each - middle) ** 2, 0) / (of.length - 1) + ROUNDED) / of.length;
}

const CONFIDENCE = 0.8;
function differenceOf(a: readonly number[], b: readonly number[]): Figure {
  const value = mean(a) - mean(b);
  const [first, second] = [errorOf(a), errorOf(b)];
  const degrees = (first + second) ** 2 / (first ** 2 / (a.length - 1) + second ** 2 / (b.length - 1));
  const half = tWithin(CONFIDENCE, degrees) * Math.sqrt(first + second);
  return { value, low: value - half, high: value + half };
}
