import { Z80 } from "../numeric";
import { SERVING_TEMPERATURES, type Constants, type ServingTemperature } from "../food";
import { bindingRatio } from "../models/binding";
import { FREEZING_SUMS, ICE_HALF_WIDTH } from "../models/freezing";
import { WATER_ACTIVITY_SUMS, waterActivityHalfWidth } from "../models/keeping";
import { AMOUNT_IDS, glycaemicLoadSd, type NutritionAmounts } from "../models/nutrition";
import { sweetnessWithSlopes } from "../models/sweetness";
import { bodyAt, bodyModelSd } from "../models/texture";
import { addBodySlopes, at, LEAST_MASS, type AddSlope, type Computed } from "./computed";
import { addSuppressionSlopes, percentSuppressed, suppressionOf } from "./suppressed";
import { AT, type SumId } from "./sums";

/** An amount of nutrition, given per 100 g and per serving. */
export type Amount = keyof NutritionAmounts;
export type Mouthfeel = "richness" | "creaminess" | "solutes" | "water";

/** Figures that versions kept before these were worked out do not have. */
export type LaterPropertyId = "suppression" | "waterActivity" | "binding" | "ice";
export type KeptPropertyId = Exclude<PropertyId, LaterPropertyId>;
export const LATER_PROPERTY_IDS: readonly LaterPropertyId[] = ["suppression", "waterActivity", "binding", "ice"];

/** Every figure that is computed of a sweet: "sweetness.hot", "serving.energy", "richness" … */
export type PropertyId =
  "yield" | "servingMass" | `${"sweetness" | "body"}.${ServingTemperature}` | `${"serving" | "per100g"}.${Amount}` | Mouthfeel | LaterPropertyId;

/** How a figure is explained: by which working. */
export type WorkingKind =
  | { readonly kind: "mass" }
  | { readonly kind: "sweetness" | "body"; readonly serve: ServingTemperature }
  | { readonly kind: "amount"; readonly amount: Amount; readonly per: "serving" | "per100g" }
  | { readonly kind: "mouthfeel"; readonly of: Mouthfeel }
  | { readonly kind: LaterPropertyId };

/** All that is known of a property, at one place: interface, open interface, comparison and working go by it. */
export interface Property {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  /** Where a sheet of figures shows it, "above 0" only where there is any; null where it does not. */
  readonly shown: "yield" | "tongue" | "serving" | "serving, above 0" | null;
  /** The most it can be. */
  readonly most?: number;
  readonly working: WorkingKind;
  /** In its unit, at the centre of all that it is computed from. */
  readonly value: (of: Computed) => number;
  /** Its exact derivative by each sum that it rests on. */
  readonly slopes: (of: Computed, add: AddSlope) => void;
  /** Why it cannot be told of a sweet; null where it can. */
  readonly unknown?: (of: Computed) => string | null;
  /** What its model itself is unsure of, as a standard deviation in its unit, at a value of it. */
  readonly modelSd: (value: number, of: Computed) => number;
  /** From what difference on it is noticed, in its unit; null where that is not known. */
  readonly noticed: ((value: number, by: Constants["noticeable"]["value"]) => number) | null;
}

const SURE = () => 0;
/** Per 100 g of the finished sweet: value and slopes. */
const perHundredGrams = (sum: SumId): Pick<Property, "value" | "slopes"> => ({
  value: (of) => (100 * at(of, sum)) / of.mass,
  slopes: (of, add) => {
    add(AT[sum], 100 / of.mass);
    add(AT.mass, (-100 * at(of, sum)) / of.mass ** 2);
  },
});
const perServing = (sum: SumId): Pick<Property, "value" | "slopes"> => ({
  value: (of) => at(of, sum) / of.servings,
  slopes: (of, add) => add(AT[sum], 1 / of.servings),
});

const MASS: readonly Property[] = [
  {
    id: "yield",
    name: "Yield",
    unit: "g",
    per: "finished",
    shown: "yield",
    working: { kind: "mass" },
    value: (of) => at(of, "mass"),
    slopes: (_, add) => add(AT.mass, 1),
    modelSd: SURE,
    noticed: null,
  },
  {
    id: "servingMass",
    name: "Serving",
    unit: "g",
    per: "each",
    shown: "yield",
    working: { kind: "mass" },
    ...perServing("mass"),
    modelSd: SURE,
    noticed: null,
  },
];

const SERVED: Readonly<Record<ServingTemperature, string>> = { hot: "hot", warm: "warm", room: "at room temperature", chilled: "chilled" };
const SHOWN_AT: readonly ServingTemperature[] = ["hot", "chilled"];

const sweetnessOf = (of: Computed, serve: ServingTemperature) =>
  sweetnessWithSlopes({ sugars: at(of, `sweet.${serve}`), steviol: at(of, "steviol"), mass: at(of, "mass") }, of.constants);

const sweetnessAt = (serve: ServingTemperature): Property => ({
  id: `sweetness.${serve}`,
  name: `Sweetness, ${SERVED[serve]}`,
  unit: "g",
  per: "as sugar, per 100 g",
  shown: SHOWN_AT.includes(serve) ? "tongue" : null,
  working: { kind: "sweetness", serve },
  value: (of) => sweetnessOf(of, serve).value,
  slopes: (of, add) => {
    const { slopes } = sweetnessOf(of, serve);
    add(AT[`sweet.${serve}`], slopes.sugars);
    add(AT.steviol, slopes.steviol);
    add(AT.mass, slopes.mass);
  },
  modelSd: (value, { constants }) => (value * constants.sweetnessModelShare) / Z80,
  noticed: (value, by) => by.sweetness * value,
});

const bodyServed = (serve: ServingTemperature): Property => ({
  id: `body.${serve}`,
  name: `Body, ${SERVED[serve]}`,
  unit: "",
  per: "step, 0 to 10",
  shown: SHOWN_AT.includes(serve) ? "tongue" : null,
  most: 10,
  working: { kind: "body", serve },
  value: ({ hot, chilled, constants }) => bodyAt(hot.value, chilled.value, serve, constants),
  slopes: (of, add) => addBodySlopes(of, serve, add),
  unknown: ({ lines }) => unmodelledGel(lines),
  modelSd: (value, { hot, chilled, constants }) => bodyModelSd(value, constants, serve === "hot" || serve === "warm" ? hot.surer : chilled.surer),
  noticed: (_, by) => by.body,
});

/** Why the body of what is set by a gel that no model here covers cannot be told: pectin sets by its kind, with sugar and acid or with calcium. */
function unmodelledGel(lines: Computed["lines"]): string | null {
  const gel = lines.find(({ food: { role, thickening }, grams }) => grams > 0 && role === "setting" && thickening.k !== undefined && !thickening.agar);
  return gel ? `whether ${gel.food.name.toLowerCase()} sets rests on its kind, on sugar, acid and calcium: no model here tells it` : null;
}

/** Unit and name of each amount, in the order in which they are read: the compiler misses one that the model gives. */
const AMOUNT_NAMES: Readonly<Record<Amount, { readonly unit: "g" | "mg" | "kJ" | ""; readonly name: string; readonly rare?: true }>> = {
  energy: { unit: "kJ", name: "Energy" },
  protein: { unit: "g", name: "Protein" },
  fat: { unit: "g", name: "Fat" },
  saturatedFat: { unit: "g", name: "Saturated fat" },
  availableCarbohydrate: { unit: "g", name: "Available carbohydrate" },
  totalSugars: { unit: "g", name: "Total sugars" },
  addedSugars: { unit: "g", name: "Added sugars" },
  freeSugarsWho: { unit: "g", name: "Free sugars (WHO)" },
  freeSugarsUk: { unit: "g", name: "Free sugars (UK, stricter)" },
  fibre: { unit: "g", name: "Fibre" },
  polyols: { unit: "g", name: "Polyols", rare: true },
  glycaemicLoad: { unit: "", name: "Glycaemic load" },
  sodium: { unit: "mg", name: "Sodium" },
  calcium: { unit: "mg", name: "Calcium" },
  iron: { unit: "mg", name: "Iron" },
};

/** What the glycaemic index of a mixed dish leaves open, of the whole sweet; other amounts are sums. */
const amountSd = (amount: Amount, { lines, constants }: Computed): number => (amount === "glycaemicLoad" ? glycaemicLoadSd(lines, constants) : 0);

const amountsOf = (amount: Amount): readonly Property[] => {
  const { unit, name, rare } = AMOUNT_NAMES[amount];
  const shared = { name, unit, noticed: null };
  return [
    {
      ...shared,
      id: `per100g.${amount}`,
      per: "per 100 g",
      shown: null,
      working: { kind: "amount", amount, per: "per100g" },
      ...perHundredGrams(amount),
      modelSd: (_, of) => (of.mass > LEAST_MASS ? (100 * amountSd(amount, of)) / of.mass : 0),
    },
    {
      ...shared,
      id: `serving.${amount}`,
      per: "per serving",
      shown: rare ? "serving, above 0" : "serving",
      working: { kind: "amount", amount, per: "serving" },
      ...perServing(amount),
      modelSd: (_, of) => amountSd(amount, of) / of.servings,
    },
  ];
};

const mouthfeel = (id: Mouthfeel, name: string, per: string, sum: SumId): Property => ({
  id,
  name,
  unit: "g",
  per,
  shown: id === "richness" ? "tongue" : null,
  working: { kind: "mouthfeel", of: id },
  ...perHundredGrams(sum),
  modelSd: SURE,
  noticed: id === "richness" ? (value, by) => Math.max(by.richness * value, by.richnessFloor) : null,
});

/** Below this a water activity is not told apart. */
const VERY_DRY = 0.5;
/** With less water than this share of it, a sweet is not one that freezes. */
const LEAST_FROZEN = 0.1;

const LATER: readonly Property[] = [
  {
    id: "suppression",
    name: "Sweetness held down",
    unit: "%",
    per: "of it, at room temperature",
    shown: "tongue",
    working: { kind: "suppression" },
    value: (of) => Math.max(0, percentSuppressed(suppressionOf(of))),
    slopes: (of, add) => {
      if (percentSuppressed(suppressionOf(of)) > 0) addSuppressionSlopes(of, add);
    },
    modelSd: (value) => (value * 0.4) / Z80,
    noticed: null,
  },
  {
    id: "binding",
    name: "Binding",
    unit: "",
    per: "binder there, of what it takes up",
    shown: "tongue",
    working: { kind: "binding" },
    value: (of) => bindingRatio({ demand: at(of, "demand"), supply: at(of, "supply") }),
    slopes: (of, add) => {
      const demand = at(of, "demand");
      if (demand <= 0) return;
      add(AT.supply, 1 / demand);
      add(AT.demand, -at(of, "supply") / demand ** 2);
    },
    unknown: (of) =>
      at(of, "demand") < 0.02 * of.mass
        ? "nothing in it takes up binder"
        : (100 * at(of, "water")) / of.mass > of.constants.binding.value.mostWater
          ? "it is moist enough to hold by its own body"
          : null,
    modelSd: (value, of) => {
      const surer = at(of, "demand") > 0 ? at(of, "demandKnown") / at(of, "demand") : 0;
      return value * Math.max(0, of.constants.binding.value.sdLog - surer);
    },
    noticed: null,
  },
  {
    id: "ice",
    name: "Ice",
    unit: "%",
    per: "of its water, at −12 °C",
    shown: "tongue",
    most: 100,
    working: { kind: "ice" },
    value: ({ isFrozen, ice }) => (isFrozen ? ice.value : 0),
    slopes: ({ isFrozen, ice }, add) => {
      if (isFrozen) for (const sum of FREEZING_SUMS) add(AT[`activity.${sum}`], ice.slopes[sum]);
    },
    unknown: (of) => (!of.isFrozen ? "it is not eaten frozen" : at(of, "water") < LEAST_FROZEN * of.mass ? "there is hardly any water in it to freeze" : null),
    modelSd: () => ICE_HALF_WIDTH / Z80,
    noticed: (_, by) => by.ice,
  },
  {
    id: "waterActivity",
    name: "Water activity",
    unit: "",
    per: "of 1, for keeping",
    shown: "yield",
    most: 1,
    working: { kind: "waterActivity" },
    value: ({ activity }) => activity.value,
    slopes: ({ activity }, add) => {
      for (const sum of WATER_ACTIVITY_SUMS) add(AT[`activity.${sum}`], activity.slopes[sum]);
    },
    unknown: (of) =>
      of.mass <= LEAST_MASS || at(of, "water") <= 0 ? "there is nothing in it that holds water" : of.activity.value < VERY_DRY ? "very dry: under 0.5" : null,
    modelSd: (value) => waterActivityHalfWidth(value) / Z80,
    noticed: null,
  },
];

export const PROPERTIES: readonly Property[] = [
  ...MASS,
  ...SERVING_TEMPERATURES.flatMap((serve) => [sweetnessAt(serve), bodyServed(serve)]),
  ...AMOUNT_IDS.flatMap(amountsOf),
  mouthfeel("richness", "Richness", "fat per 100 g", "fat"),
  mouthfeel("creaminess", "Creaminess", "per 100 g", "creaminess"),
  mouthfeel("solutes", "Dissolved solids", "per 100 g", "solutes"),
  mouthfeel("water", "Water", "per 100 g", "water"),
  ...LATER,
];
export const PROPERTY_IDS: readonly PropertyId[] = PROPERTIES.map(({ id }) => id);
const isLater = (id: PropertyId): id is LaterPropertyId => LATER_PROPERTY_IDS.some((each) => each === id);
/** Those that every kept version has. */
export const KEPT_PROPERTY_IDS: readonly KeptPropertyId[] = PROPERTY_IDS.filter((id): id is KeptPropertyId => !isLater(id));

const BY_ID = new Map(PROPERTIES.map((property) => [property.id, property] as const));

/** A property by its id; throws where the list above lacks it. */
export function propertyOf(id: PropertyId): Property {
  const found = BY_ID.get(id);
  if (!found) throw new Error(`no property ${id}`);
  return found;
}

/** Name and unit of an amount, however it is given. */
export const describeAmount = (amount: Amount): { readonly name: string; readonly unit: string } => AMOUNT_NAMES[amount];
