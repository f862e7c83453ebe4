import type { GlycaemicIndex } from "../../core/food";

const ATKINSON = "Atkinson, Foster-Powell, Brand-Miller 2008, Diabetes Care 31:2281, table 1";

/** Mean GI (glucose = 100) with the mean ± the table's standard error widened to 80 %. */
const atkinson = (value: number, se: number, of: string): GlycaemicIndex => ({
  low: Math.round(value - 1.28 * se), value, high: Math.round(value + 1.28 * se), source: `${ATKINSON}: ${of}`,
});
const classRange = (low: number, value: number, high: number, what: string): GlycaemicIndex => ({
  low, value, high, source: `no measured value; class range for ${what} (rule of thumb)`,
});

/** Glycaemic index by key; only table 1 of the named review is quoted, all else is a class range and says so. */
export const GI = {
  sucrose: atkinson(65, 4, "sugar"),
  glucose: atkinson(103, 3, "glucose"),
  fructose: atkinson(15, 4, "fructose"),
  honey: atkinson(61, 3, "honey"),
  whiteRice: atkinson(73, 4, "white rice, boiled"),
  brownRice: atkinson(68, 4, "brown rice, boiled"),
  wheatWhole: atkinson(74, 2, "wholemeal bread"),
  wheatWhite: atkinson(75, 2, "white bread"),
  pasta: atkinson(49, 2, "spaghetti"),
  couscous: atkinson(65, 4, "couscous"),
  millet: atkinson(67, 5, "millet porridge"),
  oats: atkinson(55, 2, "porridge of rolled oats"),
  barley: atkinson(28, 2, "barley"),
  milk: atkinson(39, 3, "full-fat milk"),
  skimMilk: atkinson(37, 4, "skimmed milk"),
  soyMilk: atkinson(34, 4, "soya milk"),
  riceMilk: atkinson(86, 7, "rice milk"),
  dates: atkinson(42, 4, "dates"),
  orangeJuice: atkinson(50, 2, "orange juice"),
  apple: atkinson(36, 2, "apple"),
  banana: atkinson(51, 3, "banana"),
  mango: atkinson(51, 5, "mango"),
  carrot: atkinson(39, 4, "carrots, boiled"),
  pumpkin: atkinson(64, 7, "pumpkin, boiled"),
  potato: atkinson(78, 4, "potato, boiled"),
  sweetPotato: atkinson(63, 6, "sweet potato, boiled"),
  chickpea: atkinson(28, 9, "chickpeas, boiled"),
  lentil: atkinson(32, 5, "lentils"),
  flour: classRange(50, 68, 85, "cereal flours"),
  semolina: classRange(55, 66, 75, "semolina porridges"),
  starch: classRange(60, 78, 95, "isolated starches"),
  pulse: classRange(20, 33, 50, "pulses"),
  nut: classRange(10, 20, 35, "nuts and seeds"),
  driedFruit: classRange(35, 55, 70, "dried fruit"),
  unrefinedSugar: classRange(50, 65, 85, "unrefined cane and palm sugars"),
  syrup: classRange(45, 58, 75, "plant syrups"),
  agave: { low: 9, value: 13, high: 20, source: "Foster-Powell, Holt, Brand-Miller 2002, Am. J. Clin. Nutr. 76:5, agave syrups of 90 to 97 % fructose; widened for those of less" },
  plantDrink: classRange(25, 45, 70, "plant drinks"),
} as const;

/** The foods that the review's values are of, by what it calls them; another food that has one of them has borrowed it. */
const MEASURED_OF: readonly (readonly [name: string, ids: RegExp])[] = [
  ["sugar", /^(sugar|rock-sugar|icing-sugar|demerara-sugar)$/],
  ["glucose", /^dextrose$/],
  ["fructose", /^fruit-sugar$/],
  ["honey", /^honey$/],
  ["white rice, boiled", /^white-rice$/],
  ["brown rice, boiled", /^brown-rice$/],
  ["wholemeal bread", /^whole-wheat-bread$/],
  ["white bread", /^white-bread$/],
  ["spaghetti", /^spaghetti$/],
  ["couscous", /^couscous$/],
  ["millet porridge", /millet/],
  ["porridge of rolled oats", /^rolled-oats$/],
  ["barley", /^barley$/],
  ["full-fat milk", /^cow-milk$/],
  ["skimmed milk", /^skim-milk$/],
  ["soya milk", /^soy-(milk|drink)/],
  ["rice milk", /^rice-drink/],
  ["dates", /^dates$/],
  ["orange juice", /^orange-juice$/],
  ["apple", /apple(-green|-small|-small-highland)?$/],
  ["banana", /banana/],
  ["mango", /mango/],
  ["carrots, boiled", /carrot/],
  ["pumpkin, boiled", /pumpkin/],
  ["potato, boiled", /^(ifct-)?potato/],
  ["sweet potato, boiled", /sweet-potato/],
  ["chickpeas, boiled", /bengal-gram-whole/],
  ["lentils", /lentil/],
];

/** A glycaemic index, with the food that it is borrowed from where that is another. */
export function borrowed(id: string, gi: GlycaemicIndex): GlycaemicIndex {
  const own = MEASURED_OF.find(([name]) => gi.source === `${ATKINSON}: ${name}`);
  return own && !own[1].test(id) ? { ...gi, source: `borrowed from ${own[0]}: ${ATKINSON}` } : gi;
}
