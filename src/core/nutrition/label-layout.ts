import type { Basis } from "./profile";
import type { NutritionRowId } from "./rows";

/** How amounts of a kind are rounded on a label. */
export interface LabelRounding {
  /** Less than this (or as much, where it says so) is told by these words. */
  readonly least: { readonly under: number; readonly orAsMuch?: true; readonly words: string };
  /** The step to which an amount below `under` is rounded; the first that fits. */
  readonly steps: readonly { readonly under: number; readonly orAsMuch?: true; readonly to: number }[];
}

export interface LabelLine {
  readonly name: string;
  /** Rows that it is the sum of. */
  readonly of: readonly NutritionRowId[];
  /** 0 stands for itself, 1 and 2 are of what stands above. */
  readonly inset: 0 | 1 | 2;
  readonly rounding: string;
  /** Told only where it is more than this in 100 g. */
  readonly over?: number;
}

/** How a rule book lays out nutrition on a label. */
export interface LabelLayout {
  readonly per: readonly Exclude<Basis, "whole">[];
  /** Both energies, or kilocalories alone. */
  readonly energy: "kJ and kcal" | "kcal";
  readonly energyName: string;
  readonly lines: readonly LabelLine[];
  /** By name; "kJ" and "kcal" are for energy. */
  readonly roundings: Readonly<Record<string, LabelRounding>>;
  /** Whether a serving's share of the reference intake stands beside. */
  readonly ofDay: boolean;
  /** What the book asks for and is not computed. */
  readonly missing: readonly string[];
  readonly source: string;
  /** What of its rounding or layout is not the book's own; null where all is. */
  readonly note: string | null;
}
