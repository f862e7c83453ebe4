import { asTreated, UNLEARNED_SD, type Constants, type ServingTemperature } from "../../food";
import {
  BODY_SUMS,
  bodyIndexOf,
  bodyPerGram,
  bodyWithSlopes,
  indexOfBody,
  NO_BODY,
  type BodyConstants,
  type BodyIndex,
  type BodySums,
  type Cooled,
} from "../../process";
import type { Balance } from "../../recipe";

/** The sums of a balanced sweet, of which all is in the pot. */
export function bodySums(sweet: Balance, cooled: Cooled, constants: BodyConstants): BodySums {
  const sums = { ...NO_BODY } as { -readonly [K in keyof BodySums]: number };
  for (const [i, line] of sweet.lines.entries()) {
    const food = asTreated(line.food, line.treated);
    const per = bodyPerGram(food, sweet.compositions[i] ?? food.per100g, cooled, sweet.cookMinutes, constants);
    for (const sum of BODY_SUMS) sums[sum] += per[sum] * line.grams;
  }
  sums.mass -= sweet.evaporation;
  sums.serum -= sweet.evaporation;
  return sums;
}

/** The index X of a balanced sweet. */
export const bodyIndex = (sweet: Balance, cooled: Cooled, constants: BodyConstants): BodyIndex =>
  bodyIndexOf(bodySums(sweet, cooled, constants), cooled, constants);

/**
 * Body (consistency, 0 to 10) hot or chilled; an agar-set sweet reads the larger of the starch body and the gel's.
 * @unit step of body
 * @range 0 to 10
 * @source index of thickening, fitted on the scale's anchors (rule of thumb)
 */
export const body = (sweet: Balance, cooled: Cooled, constants: BodyConstants): number =>
  bodyWithSlopes(bodySums(sweet, cooled, constants), cooled, constants).step;

/**
 * Share of the chilled body in that at a serving temperature; the hot one has the rest. Between hot (60 °C) and chilled (8 °C) body is taken linear in temperature (rule of thumb).
 * @unit share
 * @range 0 to 1, 5 to 60 °C
 * @source linear between hot and chilled (rule of thumb)
 */
export const chilledShare = (serve: ServingTemperature, { temperatures: t }: Pick<Constants, "temperatures">): number =>
  1 - (t[serve] - t.chilled) / (t.hot - t.chilled);

/**
 * Body at a serving temperature.
 * @unit step of body
 * @range 0 to 10, 5 to 60 °C
 * @source linear between hot and chilled (rule of thumb)
 */
export function bodyAt(hot: number, chilled: number, serve: ServingTemperature, constants: Pick<Constants, "temperatures">): number {
  const share = chilledShare(serve, constants);
  return hot * (1 - share) + chilled * share;
}

/**
 * Standard deviation of a body step from the model alone: sd of ln X and ± in S, in quadrature. `surer`: by how much the house's own batches
 * have made ln X surer, as a standard deviation.
 * @unit step of body
 * @range 0 or more
 * @source the model's own spread, of the constants
 */
export function bodyModelSd(step: number, constants: Pick<Constants, "body">, surer = 0): number {
  const { scale, sdLogX, sdSteps } = constants.body.value;
  const x = indexOfBody(step, constants);
  // What differs from house to house is learned; what differs from batch to batch stays.
  const { body: between } = UNLEARNED_SD;
  const logX = surer === 0 ? sdLogX : Math.hypot(Math.sqrt(Math.max(0, sdLogX ** 2 - between ** 2)), between - Math.min(between, surer));
  return Math.hypot((1 - step / 10) * (10 / scale) * x * logX, sdSteps);
}

/** The anchor words nearest a body step: "spoonable". */
export function bodyWords(step: number, constants: Pick<Constants, "bodyAnchors">): string {
  let best = constants.bodyAnchors[0];
  for (const anchor of constants.bodyAnchors) if (!best || Math.abs(anchor[0] - step) < Math.abs(best[0] - step)) best = anchor;
  return best?.[1] ?? "";
}
