import { MICRONUTRIENTS, NUTRIENTS, type Food, type FoodNature } from "../../core/food";
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

const measuredFood = (row: MeasuredRow): Food => ({
  id: row.id,
  name: row.name,
  family: row.family,
  provenance: "measured",
  source: `IFCT 2017, ${row.code}${row.rescaled ? ", sugars rescaled to carbohydrate" : ""}`,
  revision: 1,
  per100g: row.per100g,
  sd: row.per100g.map((amount, n) => row.sd[n] ?? amount * LEAST_SHARE),
  micro: row.micro,
  microSd: row.micro.map((amount, n) => (amount === null ? null : (row.microSd[n] ?? amount * LEAST_MICRO_SHARE))),
  unknown: [],
  lookAlikes: lookAlikesOf(row.id),
  ...completeTraits(row.family, row.traits),
});

/** A food of a row written by hand. `foods` are those already made, of which it may be computed. */
function completeRow(row: FoodRow, foods: ReadonlyMap<string, Food>): Food {
  const { id, name, family, provenance, source, spread, per100g, micro = MICROS[row.id] ?? {}, madeOf = {}, ...traits } = row;
  const amounts = NUTRIENTS.map((nutrient) => per100g[nutrient] ?? 0);
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
    sd: amounts.map((amount) => amount * spread),
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
    return { ...food, allergens, mayContain, synonyms, nature, counted: [...food.counted, ...more], parts: PARTS[food.id] ?? [], forms: formsOf({ ...food, nature }), cooked: COOKED[food.id] ?? null };
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

/** Energy as the measured table states it, kJ per 100 g; pure fats carry 0 there and are left out. */
export const TABLE_ENERGY: ReadonlyMap<string, number> = new Map(MEASURED.filter((row) => row.tableEnergy > 0).map((row) => [row.id, row.tableEnergy]));
