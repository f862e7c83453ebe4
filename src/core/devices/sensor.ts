import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Device, Reading, Simulation } from "./device";

/** How a simulated sensor behaves: how fast it follows (1/s), how it trembles, what it is off by from piece to piece, and what it shows. */
interface SensorKind {
  readonly name: string;
  readonly unit: string;
  readonly label: string;
  readonly least: number;
  readonly most: number;
  readonly follows: number;
  readonly noise: number;
  readonly off: number;
  readonly step: number;
  readonly digits: number;
  /** Half its 80 % interval, in its unit. */
  readonly spread: number;
  /** What it shows with nothing at it. */
  readonly rest: number;
}

interface SensorState {
  readonly kind: SensorKind;
  readonly around: number;
  readonly tip: number;
  readonly off: number;
  readonly recent: readonly number[];
  readonly seed: number;
}

const RECENT = 6;

/** A sensor that follows what is around it with a lag, trembles, and is a little off. */
export const sensor = (kind: SensorKind): Device => ({
  name: kind.name,
  unit: kind.unit,
  surroundings: { label: kind.label, least: kind.least, most: kind.most },
  simulate: (seed) => {
    const random = xoroshiro128plus(seed | 0);
    const off = (2 * uniformFloat64(random) - 1) * kind.off;
    return simulation({ kind, around: kind.rest, tip: kind.rest, off, recent: [], seed: random.next() });
  },
});

const simulation = (state: SensorState): Simulation => ({
  reading: readingOf(state),
  controls: [],
  after: (seconds) => simulation(later(state, seconds)),
  around: (value) => simulation({ ...state, around: Math.min(state.kind.most, Math.max(state.kind.least, value)) }),
});

function later(state: SensorState, seconds: number): SensorState {
  const { kind } = state;
  const random = xoroshiro128plus(state.seed);
  const tip = state.tip + (state.around - state.tip) * (1 - Math.exp(-kind.follows * seconds));
  const seen = tip + state.off + (2 * uniformFloat64(random) - 1) * kind.noise;
  return { ...state, tip, seed: random.next(), recent: [...state.recent, seen].slice(-RECENT) };
}

function readingOf({ kind, recent }: SensorState): Reading {
  const last = recent.slice(-2);
  const seen = last.length === 0 ? kind.rest : last.reduce((sum, each) => sum + each, 0) / last.length;
  const shown = Math.min(kind.most, Math.max(kind.least, Math.round(seen / kind.step) * kind.step));
  const value = Number(shown.toFixed(kind.digits));
  const isOver = seen >= kind.most;
  return {
    value,
    unit: kind.unit,
    digits: kind.digits,
    measured: value,
    spread: kind.spread,
    isOver,
    stable: !isOver && recent.length >= RECENT && Math.max(...recent) - Math.min(...recent) < 2.5 * kind.noise + kind.step,
  };
}
