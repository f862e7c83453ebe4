import type { Estimate } from "../numeric";
import type { Reference, ServingTemperature } from "../food";
import type { JudgedLine, Rule } from "../models/diet";
import type { FreeSugarSchool } from "../models/nutrition";
import type { Archetype, BalancedLine, Beside, LineId, ReadRecipe, StepId } from "../recipe";
import type { SubstitutionTables } from "./tables";

/** The nutrition limits a table can set, per serving; each with the unit in its name. */
export const LIMIT_IDS = ["freeSugars", "energy", "saturatedFat", "glycaemicLoad", "sodium"] as const;
export type LimitId = (typeof LIMIT_IDS)[number];

export interface Limit {
  readonly id: LimitId;
  /** Most per serving: g, kJ for energy, mg for sodium, none for glycaemic load. */
  readonly most: number;
  /** Which definition of free sugars counts; "uk" for all other limits. */
  readonly school: FreeSugarSchool;
}

export const LIMIT_NAMES: Readonly<Record<LimitId, { readonly name: string; readonly short: string; readonly unit: string }>> = {
  freeSugars: { name: "free sugars", short: "sugars", unit: "g" },
  energy: { name: "energy", short: "energy", unit: "kJ" },
  saturatedFat: { name: "saturated fat", short: "sat. fat", unit: "g" },
  glycaemicLoad: { name: "glycaemic load", short: "load", unit: "" },
  sodium: { name: "sodium", short: "sodium", unit: "mg" },
};

export interface SourceLine extends BalancedLine {
  readonly id: LineId;
  readonly optional: boolean;
  /** What its words name beside the food; absent in lines that are made of no text. */
  readonly beside?: Beside;
}

/** A recipe and a table, complete: what versions are worked out for. Lines are already scaled to the servings. */
/** A recipe's lines and steps in their order: by it they are numbered where something is said of one. */
export interface Order {
  readonly lines: readonly LineId[];
  readonly steps: readonly StepId[];
}

export interface AdaptationProblem {
  readonly order: Order;
  readonly archetype: Archetype;
  readonly lines: readonly SourceLine[];
  readonly evaporation: Estimate;
  /** Of the evaporation, what lines served apart lose, g. */
  readonly apart: number;
  /** All lines as rules judge them, the unread ones too. */
  readonly judged: readonly JudgedLine[];
  /** What steps name and no line lists. */
  readonly unlisted: ReadRecipe["unlisted"];
  /** Lines whose food or amount is not settled, or that leave a choice, with why. */
  readonly unsettled: readonly { readonly line: LineId; readonly text: string; readonly why: string }[];
  readonly servings: number;
  readonly cookMinutes: number | null;
  readonly serve: ServingTemperature;
  readonly rules: readonly Rule[];
  readonly limits: readonly Limit[];
  readonly reference: Reference;
  readonly tables: SubstitutionTables;
  readonly maxProposals: number;
}
