import { interval, Z80, type Figure } from "../numeric";
import { INDEX, MICRONUTRIENTS, type Constants, type Food, type Micronutrient } from "../food";
import { amountNutrients, amountPerGram } from "../models/nutrition";
import { evaluate, type Evaluation, type EvaluationInput } from "../evaluate";
import { isMicronutrient, NUTRITION_ROWS, type NutritionRowId } from "./rows";

/** Grams of salt in a milligram of sodium, as labels count it (EU 1169/2011: salt = sodium × 2.5). */
const SALT_PER_SODIUM_MG = 2.5 / 1000;

export type Basis = "serving" | "per100g" | "whole";

/** What is left of a micronutrient after cooking, as a share, with its standard deviation. */
export interface Retention {
  readonly left: number;
  readonly sd: number;
}
export type RetentionFactors = Readonly<Partial<Record<Micronutrient, Retention>>>;

export interface NutritionRow {
  readonly id: NutritionRowId;
  /** Amounts with 80 % intervals: in one serving, in 100 g, in the whole sweet. */
  readonly figures: Readonly<Record<Basis, Figure>>;
  /** Share of the finished sweet's ingredients, by weight without water, whose amount is known; below 1 the figures are "at least". */
  readonly known: number;
  /** What each line brings to the whole sweet, in the order of the lines; null where its food's amount is not known. */
  readonly lines: readonly (number | null)[];
}

export interface NutritionProfile {
  readonly rows: readonly NutritionRow[];
  /** Names and grams of the lines, in order. */
  readonly lines: readonly { readonly name: string; readonly grams: number; readonly source: string }[];
  readonly finishedMass: number;
  readonly servings: number;
  /** GI of the sweet: Σ GI·carbohydrate / Σ carbohydrate (Wolever & Jenkins 1986); null where it has hardly any. */
  readonly glycaemicIndex: Figure | null;
}

/** Below this carbohydrate, g per 100 g, a GI says nothing. */
const LEAST_CARBOHYDRATE = 2;

/**
 * The whole nutrition of a sweet. Amounts of the models come from `evaluate`, with its intervals; micronutrients are
 * Σ grams·content·retention, their spread √Σ[(sd of grams · content)² + (grams · sd of content)² + (grams·content · sd of
 * retention)²] to first order. What is not known of a food is left out and told by `known`, never counted as none.
 */
export function nutritionProfile(input: EvaluationInput, constants: Constants, retention: RetentionFactors): NutritionProfile {
  const evaluation = evaluate(input, constants);
  const rows = NUTRITION_ROWS.map((id) => (isMicronutrient(id) ? microRow(id, input, evaluation, retention) : amountRow(id, input, evaluation, constants)));
  return {
    rows,
    lines: input.lines.map(({ food, grams }) => ({ name: food.name, grams, source: `${food.source} (${food.provenance})` })),
    finishedMass: evaluation.sweet.finishedMass,
    servings: input.servings,
    glycaemicIndex: sweetGlycaemicIndex(input, evaluation, constants),
  };
}

const scaled = ({ value, low, high }: Figure, by: number): Figure => ({ value: value * by, low: low * by, high: high * by });

function amountRow(id: Exclude<NutritionRowId, Micronutrient>, input: EvaluationInput, { figures }: Evaluation, constants: Constants): NutritionRow {
  const amount = id === "salt" ? "sodium" : id;
  const by = id === "salt" ? SALT_PER_SODIUM_MG : 1;
  const serving = scaled(figures[`serving.${amount}`], by);
  let [known, all] = [0, 0];
  const lines = input.lines.map(({ food, grams }) => {
    const dry = grams * dryShare(food);
    all += dry;
    const unknown = amountNutrients(amount).some((nutrient) => food.unknown.includes(nutrient));
    if (!unknown) known += dry;
    const brings = grams * amountPerGram(amount, food, food.per100g, constants) * by;
    return unknown && brings === 0 ? null : brings;
  });
  return {
    id,
    figures: { serving, per100g: scaled(figures[`per100g.${amount}`], by), whole: scaled(serving, input.servings) },
    known: all > 0 ? known / all : 1,
    lines,
  };
}

const dryShare = (food: Food) => 1 - Math.min(100, food.per100g[INDEX.water] ?? 0) / 100;

function microRow(id: Micronutrient, input: EvaluationInput, { sweet }: Evaluation, retention: RetentionFactors): NutritionRow {
  const at = MICRONUTRIENTS.indexOf(id);
  // Without wet heat nothing is lost to it.
  const { left, sd: leftSd } = (input.cookMinutes === 0 ? undefined : retention[id]) ?? { left: 1, sd: 0 };
  let [total, variance, known, all] = [0, 0, 0, 0];
  const lines = input.lines.map(({ food, grams, sd }) => {
    const [content, contentSd] = [food.micro[at] ?? null, food.microSd[at] ?? 0];
    const dry = grams * dryShare(food);
    all += dry;
    if (content === null) return null;
    known += dry;
    const brings = (grams * content * left) / 100;
    total += brings;
    variance += ((sd * content * left) / 100) ** 2 + ((grams * contentSd * left) / 100) ** 2 + ((grams * content * leftSd) / 100) ** 2;
    return brings;
  });
  const whole = interval({ value: total, sd: Math.sqrt(variance) });
  return {
    id,
    figures: { whole, serving: scaled(whole, 1 / input.servings), per100g: scaled(whole, 100 / Math.max(1e-9, sweet.finishedMass)) },
    known: all > 0 ? known / all : 1,
    lines,
  };
}

function sweetGlycaemicIndex(input: EvaluationInput, { sweet, figures }: Evaluation, constants: Constants): Figure | null {
  const carbohydrate = sweet.totals[INDEX.availableCarbohydrate] ?? 0;
  if ((100 * carbohydrate) / Math.max(1e-9, sweet.finishedMass) < LEAST_CARBOHYDRATE) return null;
  let [value, variance] = [0, 0];
  for (const { food, grams } of input.lines) {
    const gi = food.glycaemicIndex ?? constants.glycaemicClassRange.value;
    const share = (grams * (food.per100g[INDEX.availableCarbohydrate] ?? 0)) / 100 / carbohydrate;
    value += share * gi.value;
    variance += ((share * (gi.high - gi.low)) / (2 * Z80)) ** 2;
  }
  return figures["serving.glycaemicLoad"].value > 0 ? interval({ value, sd: Math.sqrt(variance) }) : null;
}
