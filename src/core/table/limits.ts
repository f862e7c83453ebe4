import type { FreeSugarSchool } from "../models/nutrition";

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
