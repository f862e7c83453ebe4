import type { Figure } from "../numeric";

/** inside: nobody would notice, or well under the limit; just inside: within 15 % of the edge; outside: beyond it. */
export type DeviationState = "inside" | "just inside" | "outside" | "free";

/** How one property of a version lies beside the recipe, or beside a limit. */
export interface Deviation {
  readonly kind: "likeness" | "limit";
  readonly state: DeviationState;
  /** Relative to the recipe (likeness) or to the limit (limit). */
  readonly relative: number;
  /** Half-width of the wedge as a share of the recipe's figure (likeness); 0 for a limit. */
  readonly wedge: number;
  /** How far beyond the edge, in the property's unit; 0 when inside. */
  readonly beyond: number;
  /** Tilt of the beam in degrees; positive puts the version's side down. */
  readonly tilt: number;
  readonly tiltLow: number;
  readonly tiltHigh: number;
}

const MOST_TILT = 16;
const tiltOf = (relative: number) => Math.sign(relative) * MOST_TILT * (1 - Math.exp(-Math.abs(relative) / 0.25));

/**
 * Compares a version with the recipe: tilt = sign(d)·16°·(1 − e^(−|d|/0.25)), d the relative deviation. `wedge` is the
 * just noticeable difference in the property's unit; null where any difference is free (no wedge, never outside).
 */
export function compareLikeness(recipe: Figure, version: Figure, wedge: number | null): Deviation {
  const base = Math.max(Math.abs(recipe.value), 1e-9);
  const relative = recipe.value === 0 && version.value === 0 ? 0 : (version.value - recipe.value) / base;
  const difference = Math.abs(version.value - recipe.value);
  const state: DeviationState = wedge === null ? "free" : difference > wedge ? "outside" : difference > 0.85 * wedge ? "just inside" : "inside";
  const bound = (value: number) => tiltOf(Math.max(-4, Math.min(4, (value - recipe.value) / base)));
  return {
    kind: "likeness",
    state,
    relative,
    wedge: wedge === null ? 0 : wedge / base,
    beyond: wedge === null ? 0 : Math.max(0, difference - wedge),
    tilt: bound(version.value),
    tiltLow: bound(version.low),
    tiltHigh: bound(version.high),
  };
}

/** Compares a version with a limit it must not pass: level is at the limit, the open side is below it. */
export function compareLimit(limit: number, floor: number, version: Figure): Deviation {
  const scale = 0.25 * Math.max(limit, floor);
  const bound = (value: number) => Math.sign(value - limit) * MOST_TILT * (1 - Math.exp(-Math.abs(value - limit) / scale));
  const state: DeviationState = version.value > limit * 1.0005 ? "outside" : version.value > 0.85 * limit ? "just inside" : "inside";
  return {
    kind: "limit",
    state,
    relative: limit > 0 ? (version.value - limit) / limit : 0,
    wedge: 0,
    beyond: Math.max(0, version.value - limit),
    tilt: bound(version.value),
    tiltLow: bound(version.low),
    tiltHigh: bound(version.high),
  };
}

/** Grams of water in 100 g below which a sweet is bound, not thickened. */
const LEAST_WATER = 20;

/** Whether the scale of body holds for a sweet: it was fitted on what is spooned and sliced, not on what is bound (rule of thumb). */
export const isThickened = (waterPer100g: number): boolean => waterPer100g >= LEAST_WATER;
export const bodyHolds = ({ water }: { readonly water: Figure }): boolean => isThickened(water.value);

/** Whether a sweet is eaten frozen: only then is ice told of it. */
export const isEatenFrozen = ({ ice }: { readonly ice?: Figure }): boolean => (ice?.value ?? 0) > 0;
