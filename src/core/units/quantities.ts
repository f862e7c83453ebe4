declare const unit: unique symbol;
/** A number that is known to be of a unit: it goes in wherever a number does, and no other quantity in its place. */
type Quantity<Unit extends string> = number & { readonly [unit]: Unit };

export type Grams = Quantity<"g">;
export type Celsius = Quantity<"°C">;
export type Minutes = Quantity<"min">;
/** A share of a whole, 0 to 1. */
export type Fraction = Quantity<"share">;

const ABSOLUTE_ZERO = -273.15;

/** Throws a RangeError for what no quantity of the kind can be: a slip of the code, not of whoever typed it. */
function within(value: number, least: number, most: number, what: string): number {
  if (!(value >= least && value <= most)) throw new RangeError(`${value} is no ${what}.`);
  return value;
}

/**
 * A number as that quantity; throws a RangeError outside of its range.
 * @unit g
 * @range 0 or more
 * @source definition
 */
export const grams = (value: number): Grams => within(value, 0, Infinity, "mass in grams") as Grams;
/**
 * A number as that quantity; throws a RangeError outside of its range.
 * @unit °C
 * @range −273.15 to 10,000
 * @source definition
 */
export const celsius = (value: number): Celsius => within(value, ABSOLUTE_ZERO, 10_000, "temperature in °C") as Celsius;
/**
 * A number as that quantity; throws a RangeError outside of its range.
 * @unit min
 * @range 0 or more
 * @source definition
 */
export const minutes = (value: number): Minutes => within(value, 0, Infinity, "time in minutes") as Minutes;
/**
 * A number as that quantity; throws a RangeError outside of its range.
 * @unit share
 * @range 0 to 1
 * @source definition
 */
export const fraction = (value: number): Fraction => within(value, 0, 1, "share of a whole") as Fraction;
