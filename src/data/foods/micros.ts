import type { Micronutrient } from "../../core/food";

type Micros = Readonly<Partial<Record<Micronutrient, number>>>;

/** Of what is one pure substance, nothing else is in it. */
const NONE: Micros = { alphaLinolenic: 0, magnesium: 0, zinc: 0, phosphorus: 0, vitaminA: 0, folate: 0, vitaminC: 0, oxalate: 0, phytate: 0 };
const OIL: Micros = { magnesium: 0, zinc: 0, phosphorus: 0, vitaminA: 0, folate: 0, vitaminC: 0, oxalate: 0, phytate: 0 };
/** Milk of animals holds neither. */
const DAIRY: Micros = { oxalate: 0, phytate: 0 };
const SEED: Micros = { vitaminA: 0, vitaminC: 0 };

/**
 * Micronutrients per 100 g of the foods written by hand, from the same table as the rest of their row (units as in
 * MICRONUTRIENTS). What is not listed is not known.
 */
export const MICROS: Readonly<Record<string, Micros>> = {
  "toned-milk": { ...DAIRY, magnesium: 11, zinc: 0.48, phosphorus: 92, vitaminA: 55, folate: 5, vitaminC: 0.2, alphaLinolenic: 0.01 },
  "skim-milk": { ...DAIRY, magnesium: 11, zinc: 0.42, phosphorus: 101, folate: 5, vitaminC: 0, alphaLinolenic: 0 },
  "evaporated-milk": { ...DAIRY, magnesium: 24, zinc: 0.77, phosphorus: 203, vitaminA: 65, folate: 8, vitaminC: 1.9 },
  "milk-powder": { ...DAIRY, magnesium: 85, zinc: 3.34, phosphorus: 776, vitaminA: 258, folate: 37, vitaminC: 8.6, alphaLinolenic: 0.2 },
  "skim-milk-powder": { ...DAIRY, magnesium: 110, zinc: 4.08, phosphorus: 968, folate: 50, vitaminC: 6.8, alphaLinolenic: 0 },
  cream: { ...DAIRY, magnesium: 7, zinc: 0.23, phosphorus: 58, vitaminA: 411, folate: 4, vitaminC: 0.6, alphaLinolenic: 0.5 },
  yogurt: { ...DAIRY, magnesium: 12, zinc: 0.59, phosphorus: 95, vitaminA: 27, folate: 7, vitaminC: 0.5, alphaLinolenic: 0.03 },
  butter: { ...DAIRY, magnesium: 2, zinc: 0.09, phosphorus: 24, vitaminA: 684, folate: 3, vitaminC: 0, alphaLinolenic: 0.32 },
  "condensed-milk": { ...DAIRY, magnesium: 26, zinc: 0.94, phosphorus: 253, vitaminA: 74, folate: 11, vitaminC: 2.6, alphaLinolenic: 0.03 },
  "soy-milk": { ...SEED, magnesium: 15, zinc: 0.26, phosphorus: 43, folate: 9 },
  "coconut-milk": { magnesium: 46, zinc: 0.56, phosphorus: 96, vitaminA: 0, folate: 14, vitaminC: 1, alphaLinolenic: 0 },
  "firm-tofu": { magnesium: 30, phosphorus: 97, zinc: 0.64, folate: 15, vitaminC: 0.1, alphaLinolenic: 0.32 },
  "silken-tofu": { magnesium: 29, phosphorus: 62, vitaminC: 0 },
  water: { ...NONE, magnesium: 1 },
  cornflour: { ...SEED, magnesium: 3, zinc: 0.06, phosphorus: 13, folate: 0, alphaLinolenic: 0 },
  arrowroot: { ...SEED, magnesium: 3, zinc: 0.07, phosphorus: 5, folate: 7, alphaLinolenic: 0 },
  "tapioca-starch": { ...SEED, magnesium: 1, zinc: 0.12, phosphorus: 7, folate: 4, alphaLinolenic: 0 },
  sago: { ...SEED, magnesium: 1, zinc: 0.12, phosphorus: 7, folate: 4, alphaLinolenic: 0 },
  "rice-flour": { ...SEED, magnesium: 35, zinc: 0.8, phosphorus: 98, folate: 4 },
  "buckwheat-flour": { ...SEED, magnesium: 251, zinc: 3.12, phosphorus: 337, folate: 54 },
  "rolled-oats": { ...SEED, magnesium: 138, zinc: 3.64, phosphorus: 410, folate: 32, alphaLinolenic: 0.1 },
  agar: { magnesium: 770, zinc: 5.8, phosphorus: 52, folate: 580, vitaminA: 0, vitaminC: 0, alphaLinolenic: 0 },
  gelatin: { ...DAIRY, magnesium: 22, zinc: 0.14, phosphorus: 39, folate: 30, vitaminA: 0, vitaminC: 0, alphaLinolenic: 0 },
  chia: { magnesium: 335, zinc: 4.58, phosphorus: 860, folate: 49, vitaminC: 1.6, alphaLinolenic: 17.83 },
  "melon-seeds": { ...SEED, magnesium: 515, zinc: 10.24, phosphorus: 755, folate: 58 },
  "pumpkin-seeds": { magnesium: 592, zinc: 7.81, phosphorus: 1233, folate: 58, vitaminA: 1, vitaminC: 1.9, alphaLinolenic: 0.12 },
  tahini: { magnesium: 95, zinc: 4.62, phosphorus: 732, folate: 98, vitaminA: 3, vitaminC: 0, alphaLinolenic: 0.4 },
  "peanut-butter": { ...SEED, magnesium: 168, zinc: 2.5, phosphorus: 335, folate: 87 },
  hazelnut: { magnesium: 163, zinc: 2.45, phosphorus: 290, folate: 113, vitaminA: 1, vitaminC: 6.3, alphaLinolenic: 0.09 },
  pecan: { magnesium: 121, zinc: 4.53, phosphorus: 277, folate: 22, vitaminA: 3, vitaminC: 1.1, alphaLinolenic: 0.99 },
  macadamia: { magnesium: 130, zinc: 1.3, phosphorus: 188, folate: 11, vitaminA: 0, vitaminC: 1.2, alphaLinolenic: 0.21 },
  "brazil-nut": { magnesium: 376, zinc: 4.06, phosphorus: 725, folate: 22, vitaminA: 0, vitaminC: 0.7, alphaLinolenic: 0.04 },
  "cocoa-butter": { ...OIL, alphaLinolenic: 0.1 },
  "olive-oil": { ...OIL, alphaLinolenic: 0.76 },
  "cocoa-powder": { ...SEED, magnesium: 499, zinc: 6.81, phosphorus: 734, folate: 32, alphaLinolenic: 0 },
  salt: { ...NONE, magnesium: 1, zinc: 0.1 },
  saffron: { magnesium: 264, zinc: 1.09, phosphorus: 252, folate: 93, vitaminA: 27, vitaminC: 80.8 },
  cinnamon: { magnesium: 60, zinc: 1.83, phosphorus: 64, folate: 6, vitaminA: 15, vitaminC: 3.8, alphaLinolenic: 0.01 },
  "vanilla-extract": { ...NONE, magnesium: 12, zinc: 0.11, phosphorus: 6 },
  "lemon-zest": { magnesium: 15, zinc: 0.25, phosphorus: 12, folate: 13, vitaminA: 3, vitaminC: 129 },
  "baking-powder": { ...SEED, magnesium: 27, zinc: 0, phosphorus: 2191, folate: 0, alphaLinolenic: 0, oxalate: 0 },
  "rose-water": NONE,
  "screwpine-water": NONE,
  sugar: NONE,
  "rock-sugar": NONE,
  "icing-sugar": NONE,
  "brown-sugar": { ...SEED, magnesium: 9, zinc: 0.03, phosphorus: 4, folate: 1, alphaLinolenic: 0 },
  honey: { magnesium: 2, zinc: 0.22, phosphorus: 4, folate: 2, vitaminA: 0, vitaminC: 0.5, alphaLinolenic: 0 },
  "maple-syrup": { ...SEED, magnesium: 21, zinc: 1.47, phosphorus: 2, folate: 0, alphaLinolenic: 0 },
  molasses: { ...SEED, magnesium: 242, zinc: 0.29, phosphorus: 31, folate: 0, alphaLinolenic: 0 },
  "dried-figs": { magnesium: 68, zinc: 0.55, phosphorus: 67, folate: 9, vitaminA: 0, vitaminC: 1.2, alphaLinolenic: 0 },
  prunes: { magnesium: 41, zinc: 0.44, phosphorus: 69, folate: 4, vitaminA: 39, vitaminC: 0.6, alphaLinolenic: 0.01 },
  erythritol: NONE,
  xylitol: NONE,
  allulose: NONE,
  stevia: NONE,
  inulin: NONE,
  "silver-leaf": NONE,
};
