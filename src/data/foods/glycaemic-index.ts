import type { GlycaemicIndex } from "../../core/food";

const ATKINSON = "Atkinson, Foster-Powell, Brand-Miller 2008, Diabetes Care 31:2281, table 1";

/** Mean GI (glucose = 100) with the mean ± the table's standard error widened to 80 %. */
const atkinson = (value: number, se: number): GlycaemicIndex => ({
  low: Math.round(value - 1.28 * se), value, high: Math.round(value + 1.28 * se), source: ATKINSON,
});
const classRange = (low: number, value: number, high: number, what: string): GlycaemicIndex => ({
  low, value, high, source: `no measured value; class range for ${what} (rule of thumb)`,
});

/** Glycaemic index by key; only table 1 of the named review is quoted, all else is a class range and says so. */
export const GI = {
  sucrose: atkinson(65, 4),
  glucose: atkinson(103, 3),
  fructose: atkinson(15, 4),
  honey: atkinson(61, 3),
  whiteRice: atkinson(73, 4),
  brownRice: atkinson(68, 4),
  wheatWhole: atkinson(74, 2),
  wheatWhite: atkinson(75, 2),
  pasta: atkinson(49, 2),
  couscous: atkinson(65, 4),
  millet: atkinson(67, 5),
  oats: atkinson(55, 2),
  barley: atkinson(28, 2),
  milk: atkinson(39, 3),
  skimMilk: atkinson(37, 4),
  soyMilk: atkinson(34, 4),
  riceMilk: atkinson(86, 7),
  dates: atkinson(42, 4),
  apple: atkinson(36, 2),
  banana: atkinson(51, 3),
  mango: atkinson(51, 5),
  carrot: atkinson(39, 4),
  pumpkin: atkinson(64, 7),
  potato: atkinson(78, 4),
  sweetPotato: atkinson(63, 6),
  chickpea: atkinson(28, 9),
  lentil: atkinson(32, 5),
  flour: classRange(50, 68, 85, "cereal flours"),
  semolina: classRange(55, 66, 75, "semolina porridges"),
  starch: classRange(60, 78, 95, "isolated starches"),
  pulse: classRange(20, 33, 50, "pulses"),
  nut: classRange(10, 20, 35, "nuts and seeds"),
  driedFruit: classRange(35, 55, 70, "dried fruit"),
  unrefinedSugar: classRange(50, 65, 85, "unrefined cane and palm sugars"),
  syrup: classRange(45, 58, 75, "plant syrups"),
  plantDrink: classRange(25, 45, 70, "plant drinks"),
} as const;
