import { asTreated, INDEX, NUTRIENTS, SERVING_TEMPERATURES, type Constants, type Food, type Role } from "../food";
import { bindingPerGram } from "../models/binding";
import { WATER_ACTIVITY_SUMS, type WaterActivitySums } from "../models/keeping";
import { AMOUNT_IDS, amountPerGram } from "../models/nutrition";
import { sucroseEquivalentPerGram } from "../models/sweetness";
import { creaminessPerGram, solutesPerGram } from "../models/texture";
import { BODY_SUMS, bodyPerGram } from "../process";
import type { BalancedLine } from "../recipe";

/**
 * What every property rests on: sums over the lines, each linear in the grams of a line and in what 100 g of its food hold.
 * Those of the pot leave out what is served beside.
 */
const IN_ACTIVITY = WATER_ACTIVITY_SUMS.map((sum) => `activity.${sum}` as const);
const SWEET = SERVING_TEMPERATURES.map((serve) => `sweet.${serve}` as const);
const POT = (["hot", "chilled"] as const).flatMap((cooled) => BODY_SUMS.map((sum) => `pot.${cooled}.${sum}` as const));
export const SUMS = [
  "mass",
  "water",
  "pot.mass",
  "pot.water",
  ...AMOUNT_IDS,
  "steviol",
  "creaminess",
  "solutes",
  "acid",
  "demand",
  "demandKnown",
  "supply",
  "sticky",
  ...SWEET,
  ...IN_ACTIVITY,
  ...POT,
] as const;
export type SumId = (typeof SUMS)[number];
export const AT = Object.fromEntries(SUMS.map((sum, at) => [sum, at])) as Readonly<Record<SumId, number>>;

const ACTIVITY_NUTRIENTS: Readonly<Record<keyof WaterActivitySums, readonly number[]>> = {
  water: [INDEX.water],
  sucrose: [INDEX.sucrose],
  hexoses: [INDEX.glucose, INDEX.fructose],
  maltose: [INDEX.maltose],
  lactose: [INDEX.lactose],
  erythritol: [INDEX.erythritol],
  xylitol: [INDEX.xylitol],
  allulose: [INDEX.allulose],
  ash: [INDEX.ash],
  starch: [INDEX.starch],
  protein: [INDEX.protein],
  fibre: [INDEX.solubleFibre, INDEX.insolubleFibre],
};

interface Eaten {
  readonly food: Food;
  readonly role: Role;
  readonly apart: boolean;
  readonly cookMinutes: number | null;
}

/** What one gram adds to every sum, at a composition. */
function perGram({ food, role, apart, cookMinutes }: Eaten, composition: ArrayLike<number>, constants: Constants): Float64Array {
  const into = new Float64Array(SUMS.length);
  const water = (composition[INDEX.water] ?? 0) / 100;
  const binding = bindingPerGram(food, composition, constants);
  into[AT.mass] = 1;
  into[AT.water] = water;
  for (const amount of AMOUNT_IDS) into[AT[amount]] = amountPerGram(amount, food, composition, constants);
  into[AT.steviol] = (composition[INDEX.steviolGlycosides] ?? 0) / 100;
  into[AT.creaminess] = creaminessPerGram(food, composition, role);
  into[AT.solutes] = solutesPerGram(composition);
  // Acids of what does not sour are bound.
  into[AT.acid] = food.nature?.acidity === "none" ? 0 : (composition[INDEX.organicAcids] ?? 0) / 100;
  into[AT.demand] = binding.demand;
  into[AT.demandKnown] = binding.demandKnown;
  into[AT.supply] = binding.supply;
  into[AT.sticky] = binding.sticky;
  for (const serve of SERVING_TEMPERATURES) into[AT[`sweet.${serve}`]] = sucroseEquivalentPerGram(food, composition, constants.temperatures[serve], constants);
  for (const sum of WATER_ACTIVITY_SUMS)
    for (const index of ACTIVITY_NUTRIENTS[sum]) into[AT[`activity.${sum}`]] = (into[AT[`activity.${sum}`]] ?? 0) + (composition[index] ?? 0) / 100;
  if (apart) return into;
  into[AT["pot.mass"]] = 1;
  into[AT["pot.water"]] = water;
  for (const cooled of ["hot", "chilled"] as const) {
    const body = bodyPerGram(food, composition, cooled, cookMinutes, constants);
    for (const sum of BODY_SUMS) into[AT[`pot.${cooled}.${sum}`]] = body[sum];
  }
  return into;
}

/** How the sums move with one nutrient of a food by its standard deviation, per gram of the food: those that move alone. */
export interface Spread {
  readonly sums: readonly number[];
  readonly by: readonly number[];
  /** So many standard deviations down there is none of it left. */
  readonly least: number;
}

/** A food in a sweet: what a gram of it adds, and what its composition leaves open of that. */
export interface Contribution {
  readonly perGram: Float64Array;
  readonly spreads: readonly Spread[];
}

const known = new WeakMap<Constants, WeakMap<Food, Map<string, Contribution>>>();
/** So many ways of cooking one food are remembered. */
const MOST_KNOWN = 64;

/** The contribution of a line; computed once for a food, its role, treatment and cooking time. */
export function contributionOf({ food: plain, role, apart = false, treated }: BalancedLine, cookMinutes: number | null, constants: Constants): Contribution {
  const byFood = known.get(constants) ?? new WeakMap<Food, Map<string, Contribution>>();
  known.set(constants, byFood);
  const food = asTreated(plain, treated);
  const ways = byFood.get(food) ?? new Map<string, Contribution>();
  byFood.set(food, ways);
  const key = `${role} ${apart ? 1 : 0} ${cookMinutes ?? ""}`;
  const found = ways.get(key);
  if (found) return found;
  if (ways.size >= MOST_KNOWN) ways.clear();
  const made = contribution({ food, role, apart, cookMinutes }, constants);
  ways.set(key, made);
  return made;
}

function contribution(eaten: Eaten, constants: Constants): Contribution {
  const { food } = eaten;
  const nothing = new Float64Array(NUTRIENTS.length);
  const base = perGram(eaten, nothing, constants);
  const spreads = food.sd.flatMap((sd, n): Spread[] => {
    if (!(sd > 0)) return [];
    // Linear in the composition: one step of any size is the derivative.
    nothing[n] = 1;
    const moved = perGram(eaten, nothing, constants);
    nothing[n] = 0;
    const sums: number[] = [];
    const by: number[] = [];
    for (let at = 0; at < moved.length; at++) {
      const slope = (moved[at] ?? 0) - (base[at] ?? 0);
      if (slope === 0) continue;
      sums.push(at);
      by.push(slope * sd);
    }
    return [{ sums, by, least: -(food.per100g[n] ?? 0) / sd }];
  });
  return { perGram: perGram(eaten, food.per100g, constants), spreads };
}
