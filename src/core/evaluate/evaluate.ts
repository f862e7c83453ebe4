import { interval, type Figure } from "../numeric";
import type { Constants } from "../food";
import { balance, type Balance } from "../recipe";
import type { EvaluationInput } from "./input";
import { byEvaporation, pointFigures, summed, type Summed } from "./point";
import { propertyOf, PROPERTIES, PROPERTY_IDS, type KeptPropertyId, type LaterPropertyId, type PropertyId } from "./properties";
import { SUMS } from "./sums";

export type Figures = Readonly<Record<PropertyId, Figure>>;
/** Figures as they were kept with a version: those that are worked out since are absent in older ones. */
export type KeptFigures = Readonly<Record<KeptPropertyId, Figure> & Partial<Record<LaterPropertyId, Figure>>>;

export interface Evaluation {
  readonly sweet: Balance;
  readonly figures: Figures;
}

/** Sources of a property's spread, as variances in its unit. */
export interface Spread {
  readonly measures: number;
  readonly evaporation: number;
  readonly composition: number;
  readonly model: number;
  /** Of the measures, by line in their order. */
  readonly byLine: readonly number[];
}

/** All properties with 80 % intervals, by first-order propagation of measures, evaporation and composition, and model error. */
export function evaluate(input: EvaluationInput, constants: Constants): Evaluation {
  const { of, point, variances } = propagate(input, constants);
  const figures = {} as Record<PropertyId, Figure>;
  PROPERTIES.forEach(({ id, most, modelSd }, at) => {
    const value = point[at] ?? 0;
    const sum = (variances.measures[at] ?? 0) + (variances.evaporation[at] ?? 0) + (variances.composition[at] ?? 0) + modelSd(value, of) ** 2;
    figures[id] = interval({ value, sd: Math.sqrt(sum) }, 0, most);
  });
  return { sweet: balanceOf(input), figures };
}

/** All properties without their intervals, for comparing many candidates at once: low and high are the value itself. */
export function evaluatePoint(input: EvaluationInput, constants: Constants): Figures {
  const point = pointFigures(summed(input, constants).of);
  return Object.fromEntries(PROPERTY_IDS.map((id, at) => [id, { value: point[at], low: point[at], high: point[at] }])) as Figures;
}

/**
 * One property alone, for trying many amounts at once.
 * @unit of the property
 * @range of the property
 * @source the registry of properties
 */
export const valueOf = (input: EvaluationInput, id: PropertyId, constants: Constants): number => propertyOf(id).value(summed(input, constants).of);

/** Why properties cannot be told of a sweet, by id; those that can are not in it. */
export function whyUnknown(input: EvaluationInput, constants: Constants): Readonly<Partial<Record<PropertyId, string>>> {
  const { of } = summed(input, constants);
  return Object.fromEntries(PROPERTIES.flatMap(({ id, unknown }) => (unknown?.(of) ? [[id, unknown(of)]] : [])));
}

/** Where the spread of one property comes from. */
export function spreadOf(input: EvaluationInput, id: PropertyId, constants: Constants): Spread {
  const { of, point, variances, bySum, contributions } = propagate(input, constants);
  const at = PROPERTY_IDS.indexOf(id);
  const slopes = bySum.map(({ properties, slopes: by }) => by[properties.indexOf(at)] ?? 0);
  return {
    byLine: contributions.map(({ perGram }, i) => ((input.lines[i]?.sd ?? 0) * perGram.reduce((sum, per, k) => sum + per * (slopes[k] ?? 0), 0)) ** 2),
    measures: variances.measures[at] ?? 0,
    evaporation: variances.evaporation[at] ?? 0,
    composition: variances.composition[at] ?? 0,
    model: (PROPERTIES[at]?.modelSd(point[at] ?? 0, of) ?? 0) ** 2,
  };
}

/** The mass balance of an input. */
export const balanceOf = ({ lines, evaporation, cookMinutes, apart }: EvaluationInput): Balance =>
  balance(lines, evaporation.value, cookMinutes, undefined, apart);

/** For each sum the properties that move with it, and by how much. */
interface Moves {
  readonly properties: number[];
  readonly slopes: number[];
}

/** Exact derivatives of all properties by the sums that they rest on, and by what is driven off. */
export function derivatives(whole: Summed): { readonly bySum: readonly Moves[]; readonly byEvaporation: Float64Array } {
  const bySum: Moves[] = SUMS.map(() => ({ properties: [], slopes: [] }));
  const driven = new Float64Array(PROPERTIES.length);
  const slopes = new Float64Array(SUMS.length);
  const add = (sum: number, slope: number) => {
    slopes[sum] = (slopes[sum] ?? 0) + slope;
  };
  PROPERTIES.forEach((property, at) => {
    slopes.fill(0);
    property.slopes(whole.of, add);
    driven[at] = byEvaporation(slopes, whole);
    for (let sum = 0; sum < slopes.length; sum++) {
      const slope = slopes[sum] ?? 0;
      if (slope === 0) continue;
      bySum[sum]?.properties.push(at);
      bySum[sum]?.slopes.push(slope);
    }
  });
  return { bySum, byEvaporation: driven };
}

function propagate(input: EvaluationInput, constants: Constants) {
  const { lines, evaporation } = input;
  const whole = summed(input, constants);
  const { bySum, byEvaporation: driven } = derivatives(whole);
  const squares = () => new Float64Array(PROPERTIES.length);
  const variances = { measures: squares(), evaporation: squares(), composition: squares() };
  const moved = squares();
  const touched = new Uint16Array(PROPERTIES.length * 4);
  let count = 0;
  const move = (sum: number, by: number) => {
    const { properties = [], slopes = [] } = bySum[sum] ?? {};
    for (let i = 0; i < properties.length; i++) {
      const at = properties[i] ?? 0;
      if (moved[at] === 0 && count < touched.length) touched[count++] = at;
      moved[at] = (moved[at] ?? 0) + by * (slopes[i] ?? 0);
    }
  };
  const square = (into: Float64Array, times: number) => {
    for (let i = 0; i < count; i++) {
      const at = touched[i] ?? 0;
      // One that came back to 0 on the way is here twice, and 0 the second time.
      into[at] = (into[at] ?? 0) + ((moved[at] ?? 0) * times) ** 2;
      moved[at] = 0;
    }
    count = 0;
  };
  for (const [i, { perGram, spreads }] of whole.contributions.entries()) {
    const { grams = 0, sd = 0 } = lines[i] ?? {};
    if (sd > 0) {
      for (let sum = 0; sum < perGram.length; sum++) if (perGram[sum] !== 0) move(sum, perGram[sum] ?? 0);
      square(variances.measures, sd);
    }
    for (const { sums, by } of spreads) {
      for (let k = 0; k < sums.length; k++) move(sums[k] ?? 0, by[k] ?? 0);
      square(variances.composition, grams);
    }
  }
  for (let at = 0; at < driven.length; at++) variances.evaporation[at] = ((driven[at] ?? 0) * evaporation.sd) ** 2;
  return { of: whole.of, point: pointFigures(whole.of), variances, bySum, contributions: whole.contributions };
}
