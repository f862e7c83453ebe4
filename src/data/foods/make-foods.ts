import { INDEX, MICRONUTRIENTS, MINERALS, NUTRIENTS, type Food, type FoodNature } from "../../core/food";
import { make } from "../../core/making";
import { MAKING } from "../making";
import { borrowed } from "./glycaemic-index";
import { MILKS } from "./by-hand-milks";
import { OTHERS } from "./by-hand-others";
import { SWEETENERS } from "./by-hand-sweeteners";
import { completeTraits } from "./complete";
import { COOKED, formsOf } from "./forms";
import { lookAlikesOf } from "./look-alikes";
import { MORE } from "./by-hand-more";
import { PIECES_OF } from "./pieces";
import { SHOP } from "./by-hand-shop";
import { MICROS } from "./micros";
import { MORE_NAMES } from "./more-names";
import { PARTS } from "./parts";
import measured from "./ifct.json";
import natures from "./nature.json";
import type { FoodRow, Traits } from "./row";

interface MeasuredRow {
  readonly id: string;
  readonly name: string;
  readonly family: Food["family"];
  readonly code: string;
  readonly corrected?: boolean;
  readonly rescaled?: boolean;
  readonly tableEnergy: number;
  readonly per100g: readonly number[];
  /** Null where it is the least share of the amount. */
  readonly sd: readonly (number | null)[];
  readonly micro: readonly (number | null)[];
  readonly microSd: readonly (number | null)[];
  readonly traits: Traits;
}

const MEASURED = measured as unknown as readonly MeasuredRow[];

/** The least standard deviation of a measured amount, as a share of it (rule of thumb); written out only where it is more. */
const LEAST_SHARE = 0.03;
/** Micronutrients vary more from one purchase to the next than the rest (rule of thumb). */
const LEAST_MICRO_SHARE = 0.15;

/** Parts by mass are at most the whole: the nearer to it, the less one can be off; up to half a gram they may be all the same. */
const ROUNDED = 0.4;
const isMineral = (n: number) => (MINERALS as readonly string[]).includes(NUTRIENTS[n] ?? "");
const spreadOf = (n: number, amount: number, share: number): number =>
  isMineral(n) ? amount * share : Math.max(amount * share * (1 - amount / 100), Math.min(ROUNDED, amount * share));
const withinWhole = (n: number, amount: number, sd: number): number => (isMineral(n) ? sd : Math.min(sd, Math.max(ROUNDED, (100 - amount) / 2)));

const measuredFood = (row: MeasuredRow): Food => ({
  id: row.id,
  name: row.name,
  family: row.family,
  provenance: "measured",
  source: `IFCT 2017, ${row.code}${row.corrected ? ", corrected" : ""}${row.rescaled ? ", sugars rescaled to carbohydrate" : ""}`,
  revision: 1,
  per100g: row.per100g,
  sd: row.per100g.map((amount, n) => (row.sd[n] == null ? spreadOf(n, amount, LEAST_SHARE) : withinWhole(n, amount, row.sd[n]))),
  micro: row.micro,
  microSd: row.micro.map((amount, n) => (amount === null ? null : (row.microSd[n] ?? amount * LEAST_MICRO_SHARE))),
  unknown: [],
  lookAlikes: lookAlikesOf(row.id),
  ...completeTraits(row.family, row.traits),
});

/** Rows from memory and from packs are never told more closely than this, a table's own at best as closely. */
const LEAST_SPREAD = { typical: 0.05, label: 0.08 } as const;

/** What a row is made of: by its own amounts, else by those of what it is made of, water making up the whole. */
function amountsOf({ per100g, madeOf = {}, pressed }: FoodRow, foods: ReadonlyMap<string, Food>): readonly number[] {
  if (per100g) return NUTRIENTS.map((nutrient) => per100g[nutrient] ?? 0);
  if (pressed) {
    const made = make({ kind: "milk", material: pressed.of, grams: 100, soaked: 8, presses: [pressed.water], squeeze: "hard", holds: null, weighedMilk: null, weighedPulp: null }, foods, MAKING);
    const milk = made.ok ? made.value.parts.find(({ key }) => key === "milk") : undefined;
    if (!milk) throw new Error(`${pressed.of} gives no milk`);
    return milk.contents.per100g.map((amount) => Number(amount.toPrecision(4)));
  }
  const parts = Object.entries(madeOf).map(([id, share]) => ({ food: foods.get(id), share }));
  const rest = 100 * (1 - parts.reduce((sum, { share }) => sum + share, 0));
  return NUTRIENTS.map((_, n) => {
    const sum = parts.reduce((total, { food, share }) => total + share * (food?.per100g[n] ?? 0), n === INDEX.water ? rest : 0);
    return Number(Math.max(0, sum).toPrecision(4));
  });
}

/** A food of a row written by hand. `foods` are those already made, of which it may be computed. */
function completeRow(row: FoodRow, foods: ReadonlyMap<string, Food>): Food {
  const { id, name, family, provenance, source, spread: told, per100g: _, micro = MICROS[row.id] ?? {}, madeOf = {}, pressed: __, ...traits } = row;
  const amounts = amountsOf(row, foods);
  const spread = Math.max(told, provenance === "typical" || provenance === "label" ? LEAST_SPREAD[provenance] : 0);
  const parts = Object.entries(madeOf).map(([part, share]) => ({ micro: foods.get(part)?.micro ?? [], share }));
  const micros = MICRONUTRIENTS.map((nutrient, n) => {
    const given = micro[nutrient];
    if (given !== undefined) return given;
    if (parts.length === 0) return null;
    let sum = 0;
    for (const part of parts) {
      const amount = part.micro[n];
      if (amount === null || amount === undefined) return null;
      sum += amount * part.share;
    }
    return sum;
  });
  return {
    id, name, family, provenance, source, revision: 1,
    per100g: amounts,
    sd: amounts.map((amount, n) => spreadOf(n, amount, spread)),
    micro: micros,
    microSd: micros.map((amount) => (amount === null ? null : amount * Math.max(spread, LEAST_MICRO_SHARE))),
    unknown: [],
    lookAlikes: lookAlikesOf(id),
    ...completeTraits(family, traits),
  };
}

/** Sulphur dioxide is added to keep colour and to bleach; by maker (EU 1333/2008, annex II, lets it into these). */
const SULPHURED: Readonly<Record<string, string>> = {
  "golden-raisins": "golden raisins are bleached with sulphur dioxide unless the packet says otherwise",
  raisins: "some raisins are sulphured; dark sun-dried ones are not",
  "dried-apricot": "bright orange apricots are sulphured; brown ones are not",
  "dried-figs": "some dried figs are sulphured",
  prunes: "some prunes are sulphured",
  "desiccated-coconut": "much desiccated coconut is kept white with sulphites",
  "coconut-milk": "some canned coconut milk holds sulphites",
  "coconut-milk-thin": "some canned coconut milk holds sulphites",
  "coconut-cream": "some canned coconut cream holds sulphites",
  "cream-of-coconut": "some makers add sulphites",
  "glucose-syrup": "glucose syrup may hold a little sulphite from its making",
  jaggery: "light-coloured jaggery is often cleared with sulphites",
  "candied-peel": "candied fruit is often sulphured",
  "lemon-juice": "bottled lemon juice holds sulphites; fresh juice does not",
  "dry-ginger": "bleached dry ginger may hold sulphites",
};
const SHARED_LINE = "most is made on lines shared with nuts: the packet says";
const BESIDE: Readonly<Record<string, readonly Food["mayContain"][number][]>> = {
  "dark-chocolate": (["almond", "hazelnut", "peanut"] as const).map((allergen) => ({ allergen, why: SHARED_LINE })),
};

/** All foods of the shipped tables, from the measured rows and those written by hand. `foods-1.json` and so on hold what this makes, so that an app has only to read it. */
export function makeFoods(): Food[] {
  const foods = new Map(MEASURED.map((row) => [row.id, measuredFood(row)]));
  for (const row of [...SWEETENERS, ...MILKS, ...OTHERS, ...MORE, ...SHOP]) foods.set(row.id, completeRow(row, foods));
  return [...foods.values()].map((food) => {
    const nature = natureFor(food.id);
    const synonyms = [...food.synonyms, ...(MORE_NAMES[food.id] ?? [])];
    // Sap sugar aside, all that is of the coconut palm holds coconut.
    const coconut = nature?.botanical === "Cocos nucifera" && nature.form !== "crystals";
    const allergens: Food["allergens"] = coconut && !food.allergens.includes("coconut") ? [...food.allergens, "coconut"] : food.allergens;
    const sulphured = SULPHURED[food.id];
    const told = (allergen: string) => food.mayContain.some((each) => each.allergen === allergen);
    const mayContain: Food["mayContain"] = [
      ...food.mayContain.filter(({ allergen }) => allergen !== "coconut"),
      ...(sulphured === undefined || told("sulphites") ? [] : [{ allergen: "sulphites" as const, why: sulphured }]),
      ...(BESIDE[food.id] ?? []),
    ];
    const more = (PIECES_OF[food.id] ?? []).filter(({ unit }) => !food.counted.some((each) => each.unit === unit));
    return { ...food, glycaemicIndex: food.glycaemicIndex && borrowed(food.id, food.glycaemicIndex), allergens, mayContain, synonyms, nature, counted: [...food.counted, ...more], parts: PARTS[food.id] ?? [], forms: formsOf({ ...food, nature }), cooked: COOKED[food.id] ?? null };
  });
}

const NATURES = natures as unknown as Readonly<
  Record<string, readonly [FoodNature["botanical"], FoodNature["form"], FoodNature["processing"], FoodNature["binding"], FoodNature["acidity"]] | undefined>
>;

function natureFor(id: string): FoodNature | null {
  const row = NATURES[id];
  if (!row) return null;
  const [botanical, form, processing, binding, acidity] = row;
  return { botanical, form, processing, binding, acidity };
}

/** Energy as the measured table states it, kJ per 100 g; pure fats carry 0 there and are left out, and what was corrected, whose energy was of what it was before. */
export const TABLE_ENERGY: ReadonlyMap<string, number> = new Map(MEASURED.filter((row) => row.tableEnergy > 0 && !row.corrected).map((row) => [row.id, row.tableEnergy]));
