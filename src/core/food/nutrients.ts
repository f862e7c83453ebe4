/** The nutrients every food carries per 100 g of the edible part; grams but for the minerals, which are milligrams. */
export const NUTRIENTS = [
  "water",
  "protein",
  "fat",
  "saturatedFat",
  "availableCarbohydrate",
  "starch",
  "fructose",
  "glucose",
  "sucrose",
  "maltose",
  "lactose",
  "erythritol",
  "xylitol",
  "allulose",
  "steviolGlycosides",
  "solubleFibre",
  "insolubleFibre",
  "organicAcids",
  "ash",
  "sodium",
  "potassium",
  "calcium",
  "iron",
] as const;

export type Nutrient = (typeof NUTRIENTS)[number];

/** Mono- and disaccharides: what a label calls sugars. Allulose is one by chemistry; labels differ by country. */
export const SUGARS = ["fructose", "glucose", "sucrose", "maltose", "lactose"] as const satisfies readonly Nutrient[];
export const POLYOLS = ["erythritol", "xylitol"] as const satisfies readonly Nutrient[];

export const MINERALS = ["sodium", "potassium", "calcium", "iron"] as const satisfies readonly Nutrient[];

/** Position of each nutrient in a composition array. */
export const INDEX = Object.fromEntries(NUTRIENTS.map((name, i) => [name, i])) as Readonly<Record<Nutrient, number>>;

export const SUGAR_INDICES: readonly number[] = SUGARS.map((sugar) => INDEX[sugar]);

/**
 * Sum of the listed nutrients of a composition array, in its unit.
 * @unit g, of what the array is for
 * @range 0 or more
 * @source a sum
 */
export function sumOf(composition: ArrayLike<number>, indices: readonly number[]): number {
  let sum = 0;
  for (const index of indices) sum += composition[index] ?? 0;
  return sum;
}

/**
 * What is carried beside the nutrients and has no part in any model: α-linolenic acid in g; magnesium, zinc, phosphorus,
 * vitamin C, oxalate and phytate in mg; vitamin A (retinol activity equivalents) and folate in µg. An amount may be unknown.
 */
export const MICRONUTRIENTS = ["alphaLinolenic", "magnesium", "zinc", "phosphorus", "vitaminA", "folate", "vitaminC", "oxalate", "phytate"] as const;
export type Micronutrient = (typeof MICRONUTRIENTS)[number];
export const MICRONUTRIENT_UNITS: Readonly<Record<Micronutrient, "g" | "mg" | "µg">> = {
  alphaLinolenic: "g",
  magnesium: "mg",
  zinc: "mg",
  phosphorus: "mg",
  vitaminA: "µg",
  folate: "µg",
  vitaminC: "mg",
  oxalate: "mg",
  phytate: "mg",
};
