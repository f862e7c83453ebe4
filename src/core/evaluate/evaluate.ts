import { interval, type Estimate, type Figure } from "../numeric";
import { NUTRIENTS, SERVING_TEMPERATURES, type Constants } from "../food";
import { glycaemicLoadSd } from "../models/nutrition";
import { bodyModelSd } from "../models/texture";
import { balance, type Balance, type BalancedLine } from "../recipe";
import { pointFigures, type PointFigures } from "./point";
import { PROPERTY_IDS, type PropertyId } from "./properties";

/** A sweet as it is asked about: complete, nothing optional. */
export interface EvaluationInput {
  readonly lines: readonly BalancedLine[];
  readonly evaporation: Estimate;
  /** Above 0. */
  readonly servings: number;
  /** Minutes of wet heat; null means cooked through. */
  readonly cookMinutes: number | null;
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
const LEAST_SHARE = 0.003;
const CEILING: Readonly<Partial<Record<PropertyId, number>>> = { "body.hot": 10, "body.warm": 10, "body.room": 10, "body.chilled": 10 };

/** All properties with 80 % intervals, by first-order propagation of measures, evaporation and composition, and model error. */
export function evaluate(input: EvaluationInput, constants: Constants): Evaluation {
  const { sweet, point, variances } = propagate(input, constants);
  const figures = {} as Record<PropertyId, Figure>;
  for (const id of PROPERTY_IDS) {
    const parts = variances(id);
    figures[id] = interval({ value: point[id], sd: Math.sqrt(parts.measures + parts.evaporation + parts.composition + parts.model) }, 0, CEILING[id]);
  }
  return { sweet, figures };
}

/** All properties without their intervals, for comparing many candidates at once: low and high are the value itself. */
export function evaluatePoint(input: EvaluationInput, constants: Constants): Figures {
  const point = pointFigures(balance(input.lines, input.evaporation.value, input.cookMinutes), input.servings, constants);
  return Object.fromEntries(PROPERTY_IDS.map((id) => [id, { value: point[id], low: point[id], high: point[id] }])) as Figures;
}

/** Where the spread of one property comes from. */
export function spreadOf(input: EvaluationInput, id: PropertyId, constants: Constants): Spread {
  return propagate(input, constants).variances(id);
}

function propagate(input: EvaluationInput, constants: Constants) {
  const { lines, evaporation, servings, cookMinutes } = input;
  const sweet = balance(lines, evaporation.value, cookMinutes);
  const point = pointFigures(sweet, servings, constants);
  const steps = { measures: [] as PointFigures[], evaporation: [] as PointFigures[], composition: [] as PointFigures[] };

  for (const [i, line] of lines.entries()) {
    if (line.sd <= 0) continue;
    const moved = lines.map((each, j) => (j === i ? { ...each, grams: each.grams + each.sd } : each));
    steps.measures.push(pointFigures(balance(moved, evaporation.value, cookMinutes), servings, constants));
  }
  if (evaporation.sd > 0) steps.evaporation.push(pointFigures(balance(lines, evaporation.value + evaporation.sd, cookMinutes), servings, constants));

  const base = lines.map((line) => line.food.per100g);
  for (const [i, line] of lines.entries()) {
    for (let n = 0; n < NUTRIENTS.length; n++) {
      const sd = line.food.sd[n] ?? 0;
      const moved = (sd * line.grams) / 100;
      if (moved <= LEAST_SHARE * (sweet.totals[n] ?? 0) || sd === 0) continue;
      const composition = base[i]?.slice() ?? [];
      composition[n] = (composition[n] ?? 0) + sd;
      steps.composition.push(pointFigures(balance(lines, evaporation.value, cookMinutes, base.with(i, composition)), servings, constants));
    }
  }
  const loadSd = glycaemicLoadSd(sweet, constants);
  const variances = (id: PropertyId): Spread => {
    const sum = (moved: readonly PointFigures[]) => moved.reduce((total, figures) => total + (figures[id] - point[id]) ** 2, 0);
    return { measures: sum(steps.measures), evaporation: sum(steps.evaporation), composition: sum(steps.composition), model: modelVariance(id, point, sweet.finishedMass, servings, loadSd, constants) };
  };
  return { sweet, point, variances };
}

/** What the models themselves are unsure of: sweetness constants, the body fit, the GI of a mixed dish. */
function modelVariance(id: PropertyId, point: PointFigures, mass: number, servings: number, loadSd: number, constants: Constants): number {
  for (const serve of SERVING_TEMPERATURES) {
    if (id === `sweetness.${serve}`) return ((point[id] * constants.sweetnessModelShare) / 1.2816) ** 2;
    if (id === `body.${serve}`) return bodyModelSd(point[id], constants) ** 2;
  }
  if (id === "serving.glycaemicLoad") return (loadSd / servings) ** 2;
  if (id === "per100g.glycaemicLoad") return mass > 0 ? ((100 * loadSd) / mass) ** 2 : 0;
  return 0;
}
