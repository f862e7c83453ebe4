import { minutes } from "../../units";
import { interpolate } from "../../numeric";
import { INDEX, SUGAR_INDICES, sumOf, type Constants, type Food, type ServingTemperature } from "../../food";
import { gelatinisedShare } from "../../process";
import type { Balance } from "../../recipe";

type BodyConstants = Pick<Constants, "body" | "starches" | "grainForms" | "gelatinisationMinutes" | "agarGel" | "temperatures" | "bodyAnchors">;
export type Cooled = "hot" | "chilled";

/**
 * Serum per gram of a food: water + 0.62·(all sugars). Fat counts in neither.
 * @unit g per g
 * @range 0 to 1
 * @source volume of dissolved sugar, 0.62 ml per g
 */
export function serumPerGram(composition: ArrayLike<number>, constants: BodyConstants): number {
  return ((composition[INDEX.water] ?? 0) + constants.body.value.sugarInSerum * sumOf(composition, SUGAR_INDICES)) / 100;
}

/**
 * Share of a food's starch that has gelatinised; all of it where no cooking time is stated.
 * @unit share
 * @range 0 to 1
 * @source first-order kinetics, time constant of the constants
 */
export function gelatinised(food: Food, cookMinutes: number | null, constants: BodyConstants): number {
  const starch = food.thickening.starch;
  if (!starch || cookMinutes === null) return 1;
  const constant = constants.gelatinisationMinutes.value;
  return gelatinisedShare(minutes(Math.max(0, cookMinutes)), minutes((starch.form === "pearl" ? constant.pearl : constant[starch.grain]) ?? 1.5));
}

/** What one gram of a food adds to X·V/100 other than by its protein: starch, fibre, and k of mucilage and egg. */
export function thickeningPerGram(
  food: Food,
  composition: ArrayLike<number>,
  cooled: Cooled,
  cookMinutes: number | null,
  constants: BodyConstants,
): { readonly starch: number; readonly fibre: number; readonly other: number } {
  const { starch, k = 0, fibreShare } = food.thickening;
  let fromStarch = 0;
  if (starch) {
    const { e, f, chilled } = constants.starches.value[starch.kind];
    fromStarch =
      ((composition[INDEX.starch] ?? 0) / 100) *
      e *
      f[starch.form] *
      constants.grainForms.value[starch.grain] *
      (cooled === "chilled" ? chilled : 1) *
      gelatinised(food, cookMinutes, constants);
  }
  const fibre = ((composition[INDEX.solubleFibre] ?? 0) + (composition[INDEX.insolubleFibre] ?? 0)) / 100;
  return { starch: fromStarch, fibre: constants.body.value.fibre * fibreShare * fibre, other: k };
}

/** The index X of a finished sweet and the parts it is made of; X = parts·100/V + 0.022·m·p². */
export interface BodyIndex {
  readonly x: number;
  readonly serum: number;
  readonly starch: number;
  readonly fibre: number;
  readonly other: number;
  /** Grams of the protein that gives body, and what it adds to X. */
  readonly protein: number;
  readonly fromProtein: number;
  /** Agar, % of the finished sweet. */
  readonly agarPercent: number;
}

export function bodyIndex(sweet: Balance, cooled: Cooled, constants: BodyConstants): BodyIndex {
  let starch = 0,
    fibre = 0,
    other = 0,
    protein = 0,
    agar = 0,
    sugars = 0;
  for (const [i, line] of sweet.lines.entries()) {
    const composition = sweet.compositions[i] ?? line.food.per100g;
    const parts = thickeningPerGram(line.food, composition, cooled, sweet.cookMinutes, constants);
    starch += parts.starch * line.grams;
    fibre += parts.fibre * line.grams;
    other += parts.other * line.grams;
    if (line.food.thickening.proteinCounts) protein += ((composition[INDEX.protein] ?? 0) * line.grams) / 100;
    if (line.food.thickening.agar) agar += line.grams;
    sugars += (sumOf(composition, SUGAR_INDICES) * line.grams) / 100;
  }
  const serum = Math.max(1e-9, (sweet.totals[INDEX.water] ?? 0) + constants.body.value.sugarInSerum * sugars);
  const p = (100 * protein) / serum;
  const fromProtein = constants.body.value.protein * (cooled === "chilled" ? constants.body.value.proteinChilled : 1) * p * p;
  const x = (100 / serum) * (starch + fibre + other) + fromProtein;
  return { x, serum, starch, fibre, other, protein, fromProtein, agarPercent: sweet.finishedMass > 0 ? (100 * agar) / sweet.finishedMass : 0 };
}

/**
 * Body step (0 to 10) of an index X: 10·(1 − exp(−X/9.5)).
 * @unit step of body
 * @range 0 to 10
 * @source the scale's definition
 */
export const bodyOfIndex = (x: number, constants: Pick<Constants, "body">): number => 10 * (1 - Math.exp(-Math.max(0, x) / constants.body.value.scale));

/**
 * Index X of a body step; steps are cut to 0 … 9.99.
 * @unit index of thickening
 * @range 0 or more
 * @source inverse of bodyOfIndex
 */
export const indexOfBody = (step: number, constants: Pick<Constants, "body">): number =>
  -constants.body.value.scale * Math.log(1 - Math.min(9.99, Math.max(0, step)) / 10);

/**
 * Body (consistency, 0 to 10) hot or chilled; an agar-set sweet reads the larger of the starch body and the gel's.
 * @unit step of body
 * @range 0 to 10
 * @source index of thickening, fitted on the scale's anchors (rule of thumb)
 */
export function body(sweet: Balance, cooled: Cooled, constants: BodyConstants): number {
  const index = bodyIndex(sweet, cooled, constants);
  const step = bodyOfIndex(index.x, constants);
  return cooled === "chilled" && index.agarPercent > 0 ? Math.max(step, interpolate(constants.agarGel.value, index.agarPercent)) : step;
}

/**
 * Body at a serving temperature: between hot (60 °C) and chilled (8 °C) it is taken linear in temperature (rule of thumb).
 * @unit step of body
 * @range 0 to 10, 5 to 60 °C
 * @source linear between hot and chilled (rule of thumb)
 */
export function bodyAt(hot: number, chilled: number, serve: ServingTemperature, constants: Pick<Constants, "temperatures">): number {
  const t = constants.temperatures;
  return chilled + ((hot - chilled) * (t[serve] - t.chilled)) / (t.hot - t.chilled);
}

/**
 * Standard deviation of a body step from the model alone: sd of ln X and ± in S, in quadrature.
 * @unit step of body
 * @range 0 or more
 * @source the model's own spread, of the constants
 */
export function bodyModelSd(step: number, constants: Pick<Constants, "body">): number {
  const { scale, sdLogX, sdSteps } = constants.body.value;
  const x = indexOfBody(step, constants);
  return Math.hypot((1 - step / 10) * (10 / scale) * x * sdLogX, sdSteps);
}

/** The anchor words nearest a body step: "spoonable". */
export function bodyWords(step: number, constants: Pick<Constants, "bodyAnchors">): string {
  let best = constants.bodyAnchors[0];
  for (const anchor of constants.bodyAnchors) if (!best || Math.abs(anchor[0] - step) < Math.abs(best[0] - step)) best = anchor;
  return best?.[1] ?? "";
}
