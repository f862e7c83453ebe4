import { interval, type Estimate, type Figure } from "../numeric";
import { NUTRIENTS, type Constants } from "../food";
import { balance, type Balance, type BalancedLine } from "../recipe";
import { pointFigures } from "./point";
import { computed, PROPERTIES, PROPERTY_IDS, type PropertyId } from "./properties";

/** A sweet as it is asked about: complete, nothing optional. */
export interface EvaluationInput {
  readonly lines: readonly BalancedLine[];
  readonly evaporation: Estimate;
  /** Above 0. */
  readonly servings: number;
  /** Minutes of wet heat; null means cooked through. */
  readonly cookMinutes: number | null;
  /** Of the evaporation, what lines served apart lose, g. */
  readonly apart: number;
}

export type Figures = Readonly<Record<PropertyId, Figure>>;

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
}

/** Nutrient amounts whose uncertainty is under this share of the sweet's total are too small to propagate. */
const LEAST_SHARE = 0.01;

/** All properties with 80 % intervals, by first-order propagation of measures, evaporation and composition, and model error. */
export function evaluate(input: EvaluationInput, constants: Constants): Evaluation {
  const { sweet, point, variances } = propagate(input, constants);
  const figures = {} as Record<PropertyId, Figure>;
  PROPERTIES.forEach(({ id, most }, at) => {
    const parts = variances(at);
    figures[id] = interval({ value: point[at] ?? 0, sd: Math.sqrt(parts.measures + parts.evaporation + parts.composition + parts.model) }, 0, most);
  });
  return { sweet, figures };
}

/** All properties without their intervals, for comparing many candidates at once: low and high are the value itself. */
export function evaluatePoint(input: EvaluationInput, constants: Constants): Figures {
  const point = pointFigures(balanceOf(input), input.servings, constants);
  return Object.fromEntries(PROPERTY_IDS.map((id, at) => [id, { value: point[at], low: point[at], high: point[at] }])) as Figures;
}

/** Where the spread of one property comes from. */
export function spreadOf(input: EvaluationInput, id: PropertyId, constants: Constants): Spread {
  return propagate(input, constants).variances(PROPERTY_IDS.indexOf(id));
}

/** The mass balance of an input. */
export const balanceOf = ({ lines, evaporation, cookMinutes, apart }: EvaluationInput): Balance =>
  balance(lines, evaporation.value, cookMinutes, undefined, apart);

function propagate(input: EvaluationInput, constants: Constants) {
  const { lines, evaporation, servings, cookMinutes, apart } = input;
  const sweet = balanceOf(input);
  const point = pointFigures(sweet, servings, constants);
  const squares = () => new Float64Array(PROPERTIES.length);
  const sums = { measures: squares(), evaporation: squares(), composition: squares() };
  const add = (to: Float64Array, moved: Balance) => {
    const figures = pointFigures(moved, servings, constants);
    for (let at = 0; at < to.length; at++) to[at] = (to[at] ?? 0) + ((figures[at] ?? 0) - (point[at] ?? 0)) ** 2;
  };

  for (const [i, line] of lines.entries()) {
    if (line.sd <= 0) continue;
    add(sums.measures, balance(lines.with(i, { ...line, grams: line.grams + line.sd }), evaporation.value, cookMinutes, undefined, apart));
  }
  if (evaporation.sd > 0) add(sums.evaporation, balance(lines, evaporation.value + evaporation.sd, cookMinutes, undefined, apart));

  const base = lines.map((line) => line.food.per100g);
  for (const [i, line] of lines.entries()) {
    for (let n = 0; n < NUTRIENTS.length; n++) {
      const sd = line.food.sd[n] ?? 0;
      if (sd === 0 || (sd * line.grams) / 100 <= LEAST_SHARE * (sweet.totals[n] ?? 0)) continue;
      const composition = line.food.per100g.slice();
      composition[n] = (composition[n] ?? 0) + sd;
      add(sums.composition, balance(lines, evaporation.value, cookMinutes, base.with(i, composition), apart));
    }
  }
  const of = computed(sweet, servings, constants);
  const variances = (at: number): Spread => ({
    measures: sums.measures[at] ?? 0,
    evaporation: sums.evaporation[at] ?? 0,
    composition: sums.composition[at] ?? 0,
    model: (PROPERTIES[at]?.modelSd(point[at] ?? 0, of) ?? 0) ** 2,
  });
  return { sweet, point, variances };
}
