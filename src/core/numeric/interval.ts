/** Standard normal quantile that bounds the central 80 %: Φ⁻¹(0.90). */
export const Z80 = 1.2815515655446004;

/** A figure with its central 80 % interval, in the unit of its property. */
export interface Figure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** A number with its standard deviation, in the same unit. */
export interface Estimate {
  readonly value: number;
  readonly sd: number;
}

/**
 * The estimate whose 80 % interval is value ± share·value ("a handful is ± 25 %").
 * @unit of the value
 * @range share 0 or more
 * @source normal: half width by Z80
 */
export function withShare(value: number, share: number): Estimate {
  return { value, sd: (Math.abs(value) * share) / Z80 };
}

/** The 80 % interval of an estimate, cut off at `floor` (most quantities cannot be negative). */
export function interval({ value, sd }: Estimate, floor = 0, ceiling = Infinity): Figure {
  const bound = (x: number) => Math.min(ceiling, Math.max(floor, x));
  return { value, low: bound(value - Z80 * sd), high: bound(value + Z80 * sd) };
}

/**
 * Half the width of the 80 % interval, as a share of the value; 0 where the value is 0.
 * @unit share
 * @range 0 or more
 * @source definition
 */
export function relativeHalfWidth(figure: Figure): number {
  return figure.value === 0 ? 0 : (figure.high - figure.low) / 2 / Math.abs(figure.value);
}
