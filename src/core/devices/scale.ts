import { GRAMS_PER_OUNCE } from "../units";

/** What a kitchen scale tells. */
export interface ScaleReading {
  /** In `unit`, as its display shows it. */
  readonly value: number;
  readonly unit: ScaleUnit;
  /** The display stands still. */
  readonly stable: boolean;
  /** Grams, whatever the unit. */
  readonly grams: number;
}
export type ScaleUnit = "g" | "oz";

/** A kitchen scale behind its adapter: a real one and the simulated one look the same from here. */
export interface Scale {
  readonly name: string;
  /** Calls back with every reading until the returned function is called. */
  readonly read: (onReading: (reading: ScaleReading) => void) => () => void;
  readonly tare: () => void;
  readonly setUnit: (unit: ScaleUnit) => void;
}

/** A home scale: steps of 1 g, or 0.05 oz; noise and drift of the cell, g; how fast it settles, 1/s. */
const STEP: Readonly<Record<ScaleUnit, number>> = { g: 1, oz: 0.05 };
const NOISE_G = 0.25;
const DRIFT_G_PER_MINUTE = 0.15;
const SETTLING_PER_SECOND = 6;
const STABLE_WITHIN_G = 0.8;
const STABLE_FOR = 4;

/** The state of a simulated scale. */
export interface SimulatedScale {
  readonly load: number;
  readonly cell: number;
  readonly drift: number;
  readonly zero: number;
  readonly unit: ScaleUnit;
  /** The last cell readings, g. */
  readonly recent: readonly number[];
  readonly seed: number;
}

export const newSimulatedScale = (seed: number): SimulatedScale => ({ load: 0, cell: 0, drift: 0, zero: 0, unit: "g", recent: [], seed: seed >>> 0 });

/** One random number of 0 to 1 and the seed after it (mulberry32). */
function random(seed: number): readonly [value: number, next: number] {
  const next = (seed + 0x6d2b79f5) >>> 0;
  let t = next;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return [((t ^ (t >>> 14)) >>> 0) / 4294967296, next];
}

/** The scale after `seconds`: the cell settles on its load, drifts and trembles. Pure: the same seed gives the same weighing. */
export function tick(scale: SimulatedScale, seconds: number): SimulatedScale {
  const [a, seedA] = random(scale.seed);
  const [b, seed] = random(seedA);
  const drift = scale.drift + (a - 0.5) * 2 * DRIFT_G_PER_MINUTE * (seconds / 60);
  const settled = scale.cell + (scale.load - scale.cell) * (1 - Math.exp(-SETTLING_PER_SECOND * seconds));
  const cell = settled;
  const seen = cell + drift + (b - 0.5) * 2 * NOISE_G;
  return { ...scale, cell, drift, seed, recent: [...scale.recent, seen].slice(-STABLE_FOR) };
}

export const putOn = (scale: SimulatedScale, grams: number): SimulatedScale => ({ ...scale, load: Math.max(0, grams) });

/** Sets what lies on it now to zero. */
export const tareScale = (scale: SimulatedScale): SimulatedScale => ({ ...scale, zero: mean(scale.recent) });

export function readingOf({ recent, zero, unit }: SimulatedScale): ScaleReading {
  const grams = mean(recent.slice(-2)) - zero;
  const step = STEP[unit];
  const shown = Math.round((unit === "g" ? grams : grams / GRAMS_PER_OUNCE) / step) * step;
  const value = Math.abs(shown) < step / 2 ? 0 : Number(shown.toFixed(2));
  return {
    value,
    unit,
    grams: unit === "g" ? value : value * GRAMS_PER_OUNCE,
    stable: recent.length >= STABLE_FOR && Math.max(...recent) - Math.min(...recent) < STABLE_WITHIN_G,
  };
}

const mean = (values: readonly number[]) => (values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length);
