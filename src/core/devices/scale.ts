import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { GRAMS_PER_OUNCE } from "../units";
import type { Device, Reading, Simulation } from "./device";

type ScaleUnit = "g" | "oz";

/** A home scale: steps of 1 g, or 0.05 oz; noise and drift of the cell, g; how fast it settles, 1/s. */
const STEP: Readonly<Record<ScaleUnit, number>> = { g: 1, oz: 0.05 };
const DIGITS: Readonly<Record<ScaleUnit, number>> = { g: 0, oz: 2 };
const NOISE_G = 0.25;
const DRIFT_G_PER_MINUTE = 0.15;
const SETTLING_PER_SECOND = 6;
const STABLE_WITHIN_G = 0.8;
const STABLE_FOR = 4;
const MOST_G = 5000;
const HEAVIEST_G = 20_000;
/** Half its 80 % interval, g. */
const SPREAD_G = 1;

interface ScaleState {
  /** What lies on it, g. */
  readonly load: number;
  readonly cell: number;
  readonly drift: number;
  readonly zero: number;
  readonly unit: ScaleUnit;
  /** The last readings of the cell, g. */
  readonly recent: readonly number[];
  readonly seed: number;
}

/** A kitchen scale up to 5 kg, with tare, in grams or ounces. */
export const SCALE: Device = {
  name: "Simulated kitchen scale",
  unit: "g",
  surroundings: { label: "On it lies", least: 0, most: HEAVIEST_G },
  simulate: (seed) => simulation({ load: 0, cell: 0, drift: 0, zero: 0, unit: "g", recent: [], seed: seed | 0 }),
};

const simulation = (state: ScaleState): Simulation => ({
  reading: readingOf(state),
  controls: [
    { label: "Tare", press: () => simulation({ ...state, zero: mean(state.recent) }) },
    { label: state.unit === "g" ? "Show ounces" : "Show grams", press: () => simulation({ ...state, unit: state.unit === "g" ? "oz" : "g" }) },
  ],
  after: (seconds) => simulation(later(state, seconds)),
  around: (grams) => simulation({ ...state, load: Math.min(HEAVIEST_G, Math.max(0, grams)) }),
});

/** The cell settles on its load, drifts and trembles. */
function later(state: ScaleState, seconds: number): ScaleState {
  const random = xoroshiro128plus(state.seed);
  const swing = () => 2 * uniformFloat64(random) - 1;
  const drift = state.drift + swing() * DRIFT_G_PER_MINUTE * (seconds / 60);
  const cell = state.cell + (state.load - state.cell) * (1 - Math.exp(-SETTLING_PER_SECOND * seconds));
  const seen = cell + drift + swing() * NOISE_G;
  return { ...state, cell, drift, seed: random.next(), recent: [...state.recent, seen].slice(-STABLE_FOR) };
}

function readingOf({ recent, zero, unit }: ScaleState): Reading {
  const isOver = mean(recent.slice(-2)) > MOST_G;
  const grams = Math.min(MOST_G, mean(recent.slice(-2))) - zero;
  const step = STEP[unit];
  const shown = Math.round((unit === "g" ? grams : grams / GRAMS_PER_OUNCE) / step) * step;
  const value = Math.abs(shown) < step / 2 ? 0 : Number(shown.toFixed(2));
  return {
    value,
    unit,
    digits: DIGITS[unit],
    measured: unit === "g" ? value : value * GRAMS_PER_OUNCE,
    spread: SPREAD_G,
    isOver,
    stable: !isOver && recent.length >= STABLE_FOR && Math.max(...recent) - Math.min(...recent) < STABLE_WITHIN_G,
  };
}

const mean = (values: readonly number[]) => (values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length);
