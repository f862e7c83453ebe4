import { INDEX, POLYOLS, SUGAR_INDICES, sumOf, type Food } from "../../food";
import type { BalancedLine } from "../../recipe";

/** Dissolved solids per gram of a food: sugars, polyols, allulose, and soluble ash of liquids. */
export function solutesPerGram(composition: ArrayLike<number>): number {
  return (sumOf(composition, SUGAR_INDICES) + sumOf(composition, POLYOLS.map((polyol) => INDEX[polyol])) + (composition[INDEX.allulose] ?? 0)) / 100;
}

const CREAMY_ROLES = new Set(["liquid", "bulk", "thickener", "setting", "richness"]);

/** Creaminess per gram: protein and fat that is not free oil, of liquids, solids, thickeners and gels. */
export function creaminessPerGram(food: Food, composition: ArrayLike<number>, role: BalancedLine["role"]): number {
  if (!CREAMY_ROLES.has(role) || food.family === "cereal") return 0;
  return ((composition[INDEX.protein] ?? 0) + (composition[INDEX.fat] ?? 0) * (1 - food.freeOil)) / 100;
}

/** Free oil per gram. */
export const freeOilPerGram = (food: Food, composition: ArrayLike<number>): number => ((composition[INDEX.fat] ?? 0) * food.freeOil) / 100;

/** Free oil that is solid at room temperature, per gram: what keeps a bound sweet from slumping. */
export const solidFatPerGram = (food: Food, composition: ArrayLike<number>): number => freeOilPerGram(food, composition) * food.solidFat;
