import { forecast, gramsByStick, TABLE_RATE_SD, type Forecast, type PotWeight } from "../../src/core/cook";
import { DEVICES, potWorld, type PotWorld, type Simulation } from "../../src/core/devices";
import { burnerCap, evaporationRate } from "../../src/core/process";
import { fraction } from "../../src/core/units";
import { REFERENCE } from "../../src/data";

/** A stove of the little world: what is in its pot, how wide that is, how the flame stands. */
export interface Stove {
  readonly world: PotWorld;
  readonly diameter: number;
  readonly power: number;
  /** Without fat, g; and to what it is to come down, g. */
  readonly solids: number;
  readonly target: number;
}

const MINUTE = 60_000;
const spread = (seed: number, salt: number) => {
  const x = Math.sin(seed * 12.9898 + salt * 78.233) * 43_758.5453;
  return x - Math.floor(x);
};

/** One of many stoves: puddings of half a litre to two, in pans of 18 to 28 cm, on flames from low to lively. */
export function stoveOf(seed: number): Stove {
  const between = (salt: number, low: number, high: number) => low + (high - low) * spread(seed, salt);
  const size = between(1, 0.5, 2);
  const diameter = Math.round(between(2, 18, 28));
  const power = between(3, 1.6, 3);
  const contents = {
    water: 900 * size,
    sugar: between(4, 60, 140) * size,
    starch: between(5, 30, 80) * size,
    fat: between(6, 10, 60) * size,
    other: between(7, 40, 90) * size,
  };
  // Who cooks sets the flame by the pan, not by what of it reaches the pot.
  const flame = Math.min(1, (((Math.PI * diameter * diameter) / 400) * between(8, 0.18, 0.3)) / power);
  const world = potWorld({ contents, diameter, power, celsius: 92, seed }).set({
    flame,
    isStirred: spread(seed, 9) > 0.3,
    lid: spread(seed, 10) > 0.85 ? 0.3 : 0,
  });
  // It simmers before it is looked at.
  const simmering = world.after(240);
  return { world: simmering, diameter, power, solids: contents.sugar + contents.starch + contents.other, target: simmering.grams * between(11, 0.7, 0.85) };
}

/** Minutes until a pot has come down to a weight, as it happens. */
export function minutesUntil({ world, target }: Stove): number {
  let [now, minutes] = [world, 0];
  while (now.grams > target && minutes < 600) {
    now = now.after(30);
    minutes += 0.5;
  }
  return minutes;
}

const settled = (device: Simulation): Simulation => Array.from({ length: 40 }).reduce<Simulation>((now) => now.after(0.25), device);

/** Weights by the simulated scale, the pan on it, so many minutes apart. */
export function weighed({ world }: Stove, minutes: readonly number[], seed: number): readonly PotWeight[] {
  const pan = 1100;
  const scale = DEVICES.scale.simulate(seed);
  return minutes.map((at) => {
    const { measured } = settled(scale.around(world.after(60 * at).grams + pan)).reading;
    const grams = measured - pan;
    return { at: at * MINUTE, grams, sd: 1.5 + 0.002 * grams, by: "scale" };
  });
}

/** The same by a stick, read to half a millimetre short or over by who looks into steam. */
export function bySticks({ world, diameter }: Stove, minutes: readonly number[], seed: number, density: number): readonly PotWeight[] {
  return minutes.map((at, i) => {
    const depth = world.after(60 * at).depth + 0.6 * (spread(seed, 20 + i) - 0.5);
    return { at: at * MINUTE, ...gramsByStick(Math.round(10 * depth) / 10, diameter, density), by: "stick" };
  });
}

/** The forecast of a stove at a moment, by its weights. */
export function told({ world, diameter, power, solids, target }: Stove, weights: readonly PotWeight[], minutes: number): Forecast {
  const { evaporationFlux } = REFERENCE.constants;
  const rate = evaporationRate("simmer", diameter, fraction(0), evaporationFlux.value, burnerCap({ kind: "gas", power }));
  return forecast({
    prior: { rate, sd: TABLE_RATE_SD },
    weights,
    start: { at: 0, grams: world.grams, sd: 0.03 * world.grams },
    solids,
    target,
    now: minutes * MINUTE,
  });
}
