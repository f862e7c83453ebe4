import { interpolate } from "../../numeric";
import { INDEX, SUGAR_INDICES, sumOf, type Constants, type ServingTemperature } from "../../food";
import { bodyOfIndex, indexOfBody, thickeningPerGram, type Cooled, type ThickeningConstants } from "../../process";
import type { Balance } from "../../recipe";

type BodyConstants = ThickeningConstants & Pick<Constants, "agarGel" | "temperatures" | "bodyAnchors">;

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
