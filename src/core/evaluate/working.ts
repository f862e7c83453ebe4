import { asTreated, type Food } from "../food";
import type { Figure } from "../numeric";
import type { BalancedLine } from "../recipe";
import type { EvaluationInput } from "./input";
import type { PropertyId } from "./properties";

/** One term of a working: what it is, what it adds, and where it is from. */
export interface WorkingTerm {
  readonly label: string;
  readonly detail: string;
  readonly value: number;
}

/** The answer to "why this figure". */
export interface Working {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  readonly figure: Figure;
  /** The equation in words. */
  readonly equation: string;
  readonly terms: readonly WorkingTerm[];
  /** Unit of the terms. */
  readonly termUnit: string;
  /** What the terms are divided by or turned with, in words. */
  readonly then: string;
  readonly sources: readonly string[];
  readonly rule: boolean;
  /** Shares of the spread, largest first, summing to 1 (empty where there is none). */
  readonly spread: readonly { readonly from: string; readonly share: number }[];
  /** What to weigh, where one amount is much of the doubt; null where none is. */
  readonly weigh: { readonly name: string; readonly share: number } | null;
}

/** What differs from figure to figure. */
export type Part = Pick<Working, "equation" | "terms" | "termUnit" | "then" | "sources" | "rule">;

/** A line's food as the steps treat it. */
export const treated = (line: BalancedLine): Food => asTreated(line.food, line.treated);

/** A term of each line, largest first; next to nothing is left out. */
export function byLine(input: EvaluationInput, value: (line: BalancedLine) => number, detail: (line: BalancedLine) => string = () => ""): WorkingTerm[] {
  return input.lines
    .map((line) => ({
      label: `${line.food.name}, ${line.grams < 10 ? line.grams.toPrecision(2) : line.grams.toFixed(0)} g`,
      detail: detail(line),
      value: value(line),
    }))
    .filter((term) => Math.abs(term.value) > 1e-4)
    .sort((a, b) => b.value - a.value);
}
