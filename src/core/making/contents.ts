import { INDEX, MICRONUTRIENTS, NUTRIENTS, type Food } from "../food";
import type { Contents } from "./making";

/** Grams of a food that went in. */
export interface Portion {
  readonly food: Food;
  readonly grams: number;
}

/** What portions come to when all weighs `finished` g: Σ grams·content / finished for every nutrient; only water boils away. */
export function contentsOf(portions: readonly Portion[], finished: number): Contents {
  const massIn = portions.reduce((sum, { grams }) => sum + grams, 0);
  const mass = Math.max(1e-9, finished);
  const sum = (of: (food: Food) => number) => portions.reduce((total, { food, grams }) => total + (grams * of(food)) / mass, 0);
  const root = (of: (food: Food) => number) => Math.sqrt(portions.reduce((total, { food, grams }) => total + ((grams * of(food)) / mass) ** 2, 0));
  const per100g = NUTRIENTS.map((_, n) => sum((food) => food.per100g[n] ?? 0));
  per100g[INDEX.water] = Math.max(0, (per100g[INDEX.water] ?? 0) + (100 * (mass - massIn)) / mass);
  const micro = MICRONUTRIENTS.map((_, n) => (portions.some(({ food }) => (food.micro[n] ?? null) === null) ? null : sum((food) => food.micro[n] ?? 0)));
  return {
    per100g,
    sd: NUTRIENTS.map((_, n) => root((food) => food.sd[n] ?? 0)),
    micro,
    microSd: micro.map((amount, n) => (amount === null ? null : root((food) => food.microSd[n] ?? 0))),
    unknown: NUTRIENTS.filter((nutrient) => portions.some(({ food }) => food.unknown.includes(nutrient))),
  };
}

/**
 * Grams of water in portions.
 * @unit g
 * @range 0 or more
 * @source a sum over the composition tables
 */
export const waterIn = (portions: readonly Portion[]): number =>
  portions.reduce((sum, { food, grams }) => sum + (grams * (food.per100g[INDEX.water] ?? 0)) / 100, 0);

/**
 * What portions weigh together.
 * @unit g
 * @range 0 or more
 * @source a sum
 */
export const massOf = (portions: readonly Portion[]): number => portions.reduce((sum, { grams }) => sum + grams, 0);
