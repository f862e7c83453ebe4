import type { Constants } from "../food";
import { computed, type Computed } from "./computed";
import { PROPERTIES } from "./properties";
import { AT, contributionOf, SUMS, type Contribution } from "./sums";
import type { EvaluationInput } from "./input";

/** Values of all properties, in the order of PROPERTIES. */
export type PointFigures = Float64Array;

/** A sweet by its sums, and how they come about. */
export interface Summed {
  readonly of: Computed;
  readonly contributions: readonly Contribution[];
  /** More is to be driven off than there is water: in the whole, in the pot. */
  readonly isDry: boolean;
  readonly isPotDry: boolean;
}

/** Sums that lose what is driven off. */
const DRIVEN = [AT.mass, AT.water, AT["activity.water"]] as const;
const DRIVEN_OF_POT = [
  AT["pot.mass"],
  AT["pot.water"],
  ...(["hot", "chilled"] as const).flatMap((cooled) => [AT[`pot.${cooled}.mass`], AT[`pot.${cooled}.serum`]]),
] as const;

/** Sums of a sweet, by grams of its lines (their own unless given) and what is driven off. */
export function summed(input: EvaluationInput, constants: Constants): Summed {
  const { lines, cookMinutes } = input;
  const contributions = lines.map((line) => contributionOf(line, cookMinutes, constants));
  const sums = new Float64Array(SUMS.length);
  for (const [i, { perGram }] of contributions.entries()) {
    const grams = lines[i]?.grams ?? 0;
    for (let at = 0; at < sums.length; at++) sums[at] = (sums[at] ?? 0) + grams * (perGram[at] ?? 0);
  }
  const [there, inPot] = [sums[AT.water] ?? 0, sums[AT["pot.water"]] ?? 0];
  const isDry = input.evaporation.value >= there;
  const isPotDry = Math.min(input.evaporation.value, there) - input.apart >= inPot;
  return { of: figuresOfSums(sums, input, constants), contributions, isDry, isPotDry };
}

/** Sums of all that goes in made ready for properties: what is driven off is taken from them. */
export function figuresOfSums(sums: Float64Array, input: EvaluationInput, constants: Constants): Computed {
  const { evaporation, apart } = input;
  const [there, inPot] = [sums[AT.water] ?? 0, sums[AT["pot.water"]] ?? 0];
  const driven = Math.min(evaporation.value, there);
  for (const at of DRIVEN) sums[at] = (sums[at] ?? 0) - driven;
  for (const at of DRIVEN_OF_POT) sums[at] = (sums[at] ?? 0) - Math.min(driven - apart, inPot);
  return computed(sums, input, constants);
}

/**
 * How what is driven off moves a property, by its slopes; where all water goes already, the slopes by water are put right.
 * @unit of the property, per g
 * @range any
 * @source mass balance: only water goes, out of the sums that hold it
 */
export function byEvaporation(slopes: Float64Array, { isDry, isPotDry }: Summed): number {
  const part = (sums: readonly number[], water: number, dry: boolean): number => {
    let by = 0;
    for (const at of sums) by += slopes[at] ?? 0;
    if (!dry) return -by;
    // What comes in as water goes off again.
    slopes[water] = (slopes[water] ?? 0) - by;
    return 0;
  };
  return part(DRIVEN, AT.water, isDry) + part(DRIVEN_OF_POT, AT["pot.water"], isPotDry);
}

/** All properties of one sweet, without uncertainty: the models in order. Some ten microseconds. */
export function pointFigures(of: Computed): PointFigures {
  const figures = new Float64Array(PROPERTIES.length);
  for (let at = 0; at < figures.length; at++) figures[at] = PROPERTIES[at]?.value(of) ?? 0;
  return figures;
}
