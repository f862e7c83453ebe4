import { INDEX, POLYOLS, SUGAR_INDICES, sumOf, type Food } from "../../food";
import type { BalancedLine } from "../../recipe";

const SOLUTE_INDICES: readonly number[] = [...SUGAR_INDICES, ...POLYOLS.map((polyol) => INDEX[polyol]), INDEX.allulose];

/**
 * Dissolved solids per gram of a food: sugars, polyols and allulose.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables
 */
export const solutesPerGram = (composition: ArrayLike<number>): number => sumOf(composition, SOLUTE_INDICES) / 100;

const CREAMY_ROLES = new Set(["liquid", "bulk", "thickener", "setting", "richness"]);

/**
 * Creaminess per gram: protein and fat that is not free oil, of liquids, solids, thickeners and gels.
 * @unit index, per g
 * @range 0 or more
 * @source rule of thumb
 */
export function creaminessPerGram(food: Food, composition: ArrayLike<number>, role: BalancedLine["role"]): number {
  if (!CREAMY_ROLES.has(role) || food.family === "cereal") return 0;
  return ((composition[INDEX.protein] ?? 0) + (composition[INDEX.fat] ?? 0) * (1 - food.freeOil)) / 100;
}

/**
 * Free oil per gram.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables; what is bound is a rule of thumb
 */
export const freeOilPerGram = (food: Food, composition: ArrayLike<number>): number => ((composition[INDEX.fat] ?? 0) * food.freeOil) / 100;

/**
 * Free oil that is solid at room temperature, per gram: what keeps a bound sweet from slumping.
 * @unit g per g
 * @range 0 to 1
 * @source solid share of each fat at room temperature, of the food tables
 */
export const solidFatPerGram = (food: Food, composition: ArrayLike<number>): number => freeOilPerGram(food, composition) * food.solidFat;
