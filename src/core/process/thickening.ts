import { INDEX, SUGAR_INDICES, sumOf, type Constants, type Food } from "../food";
import { minutes } from "../units";
import { gelatinisedShare } from "./gelatinisation";

/** What thickening is computed by. */
export type ThickeningConstants = Pick<Constants, "body" | "starches" | "grainForms" | "gelatinisationMinutes">;
export type Cooled = "hot" | "chilled";

/**
 * Serum per gram of a food: water + 0.62·(all sugars). Fat counts in neither.
 * @unit g per g
 * @range 0 to 1
 * @source volume of dissolved sugar, 0.62 ml per g
 */
export function serumPerGram(composition: ArrayLike<number>, constants: ThickeningConstants): number {
  return ((composition[INDEX.water] ?? 0) + constants.body.value.sugarInSerum * sumOf(composition, SUGAR_INDICES)) / 100;
}

/**
 * Share of a food's starch that has gelatinised; all of it where no cooking time is stated.
 * @unit share
 * @range 0 to 1
 * @source first-order kinetics, time constant of the constants
 */
export function gelatinised(food: Food, cookMinutes: number | null, constants: ThickeningConstants): number {
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
  constants: ThickeningConstants,
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
