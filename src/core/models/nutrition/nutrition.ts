import { INDEX, NUTRIENTS, SUGAR_INDICES, energyKilojoules, sumOf, type Constants, type Food, type Nutrient } from "../../food";
import type { BalancedLine } from "../../recipe";

type NutritionConstants = Pick<Constants, "energyPerGram" | "freeSugarShares" | "glycaemicClassRange">;
export type FreeSugarSchool = "who" | "uk";

/** Amounts in a whole finished sweet: g, minerals mg, energy kJ. */
export interface NutritionAmounts {
  readonly energy: number;
  readonly protein: number;
  readonly fat: number;
  readonly saturatedFat: number;
  readonly availableCarbohydrate: number;
  readonly totalSugars: number;
  readonly addedSugars: number;
  readonly freeSugarsWho: number;
  readonly freeSugarsUk: number;
  readonly fibre: number;
  readonly polyols: number;
  readonly sodium: number;
  readonly calcium: number;
  readonly iron: number;
  /** GI·carbohydrate/100, summed: the glycaemic load of the whole sweet. */
  readonly glycaemicLoad: number;
}

const AMOUNTS: Readonly<Record<keyof NutritionAmounts, true>> = {
  energy: true,
  protein: true,
  fat: true,
  saturatedFat: true,
  availableCarbohydrate: true,
  totalSugars: true,
  addedSugars: true,
  freeSugarsWho: true,
  freeSugarsUk: true,
  fibre: true,
  polyols: true,
  sodium: true,
  calcium: true,
  iron: true,
  glycaemicLoad: true,
};
export const AMOUNT_IDS = Object.keys(AMOUNTS) as readonly (keyof NutritionAmounts)[];

/** Sugars of a food that can be free or added at all: the milk sugar of sweetened milk never is. */
function countableSugars(food: Food, composition: ArrayLike<number>): number {
  const sugars = sumOf(composition, SUGAR_INDICES);
  return food.sugarClass === "sweetened milk" ? sugars - (composition[INDEX.lactose] ?? 0) : sugars;
}

/**
 * Free sugars per gram of a food by one of two schools: WHO 2015 (added, and of honey, syrups and juices) or UK
 * (Swan et al. 2018: those, and of puréed fruit and plant drinks). Milk's lactose and whole fruit stay out of both.
 * @unit g per g
 * @range 0 to 1
 * @source WHO 2015; Swan et al. 2018
 */
export function freeSugarsPerGram(food: Food, composition: ArrayLike<number>, school: FreeSugarSchool, constants: NutritionConstants): number {
  return (countableSugars(food, composition) * constants.freeSugarShares.value[food.sugarClass][school]) / 100;
}

/**
 * Added sugars per gram, for a label: sugars added as such, with syrups, honey and juice; not puréed fruit.
 * @unit g per g
 * @range 0 to 1
 * @source the labels' definition: added as such, with syrups, honey and juice
 */
export function addedSugarsPerGram(food: Food, composition: ArrayLike<number>): number {
  return food.sugarClass === "added" || food.sugarClass === "sweetened milk" ? countableSugars(food, composition) / 100 : 0;
}

/**
 * Glycaemic load per gram: GI·available carbohydrate/100 (Wolever & Jenkins 1986).
 * @unit per g
 * @range 0 or more
 * @source Wolever & Jenkins 1986
 */
export function glycaemicLoadPerGram(food: Food, composition: ArrayLike<number>, constants: NutritionConstants): number {
  const gi = (food.glycaemicIndex ?? constants.glycaemicClassRange.value).value;
  return (gi * (composition[INDEX.availableCarbohydrate] ?? 0)) / 10_000;
}

/** Amounts that are more than a sum of nutrients. */
type Weighed = "energy" | "freeSugarsWho" | "freeSugarsUk" | "addedSugars" | "glycaemicLoad";
/** Those that are sums: of which. */
const SUMS: Readonly<Record<Exclude<keyof NutritionAmounts, Weighed>, readonly number[]>> = {
  protein: [INDEX.protein],
  fat: [INDEX.fat],
  saturatedFat: [INDEX.saturatedFat],
  availableCarbohydrate: [INDEX.availableCarbohydrate],
  totalSugars: SUGAR_INDICES,
  fibre: [INDEX.solubleFibre, INDEX.insolubleFibre],
  polyols: [INDEX.erythritol, INDEX.xylitol],
  sodium: [INDEX.sodium],
  calcium: [INDEX.calcium],
  iron: [INDEX.iron],
};

const ENERGY_NUTRIENTS: readonly Nutrient[] = ["protein", "fat", "availableCarbohydrate"];

/** The nutrients that an amount is made of: where one is not known, the amount is "at least". */
export const amountNutrients = (amount: keyof NutritionAmounts): readonly Nutrient[] =>
  amount === "energy"
    ? ENERGY_NUTRIENTS
    : amount === "glycaemicLoad"
      ? ["availableCarbohydrate"]
      : (amount in SUMS ? SUMS[amount as keyof typeof SUMS] : SUGAR_INDICES).flatMap((index) => NUTRIENTS[index] ?? []);

/**
 * What a gram of a food brings of one amount of nutrition: g, minerals mg, energy kJ, glycaemic load.
 * @unit of the amount, per g
 * @range 0 or more; glycaemic load and free sugars by their own models
 * @source composition tables
 */
export function amountPerGram(amount: keyof NutritionAmounts, food: Food, composition: ArrayLike<number>, constants: NutritionConstants): number {
  switch (amount) {
    case "energy":
      return energyKilojoules(composition, constants.energyPerGram.value) / 100;
    case "freeSugarsWho":
      return freeSugarsPerGram(food, composition, "who", constants);
    case "freeSugarsUk":
      return freeSugarsPerGram(food, composition, "uk", constants);
    case "addedSugars":
      return addedSugarsPerGram(food, composition);
    case "glycaemicLoad":
      return glycaemicLoadPerGram(food, composition, constants);
    default:
      return sumOf(composition, SUMS[amount]) / 100;
  }
}

/**
 * Standard deviation of a glycaemic load from the GI values alone: a quarter of each food's low-to-high range.
 * @unit glycaemic load
 * @range 0 or more
 * @source rule of thumb: a quarter of the table's range
 */
export function glycaemicLoadSd(lines: readonly BalancedLine[], constants: NutritionConstants): number {
  let variance = 0;
  for (const { food, grams } of lines) {
    const gi = food.glycaemicIndex ?? constants.glycaemicClassRange.value;
    const carbohydrate = (grams * (food.per100g[INDEX.availableCarbohydrate] ?? 0)) / 100;
    variance += ((carbohydrate * (gi.high - gi.low)) / 2.563 / 100) ** 2;
  }
  return Math.sqrt(variance);
}
