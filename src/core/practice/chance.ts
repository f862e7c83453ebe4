import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** What is drawn from a seed, one after the other: the same for the same seed. */
export interface Chance {
  readonly between: (low: number, high: number) => number;
  /** Spread evenly by the logarithm. */
  readonly about: (middle: number, factor: number) => number;
  readonly one: <T>(of: readonly [T, ...T[]]) => T;
  readonly whole: (low: number, high: number) => number;
}

export function chanceOf(seed: number): Chance {
  const generator = xoroshiro128plus(seed | 0);
  const between = (low: number, high: number) => low + (high - low) * uniformFloat64(generator);
  const whole = (low: number, high: number) => uniformInt(generator, low, high);
  return { between, whole, about: (middle, factor) => middle * factor ** between(-1, 1), one: (of) => of[whole(0, of.length - 1)] ?? of[0] };
}
