import { Z80 } from "../numeric";
import { INDEX, SERVING_TEMPERATURES, type Constants, type ServingTemperature } from "../food";
import { glycaemicLoadSd, nutritionTotals, type NutritionTotals } from "../models/nutrition";
import { sweetness } from "../models/sweetness";
import { body, bodyAt, bodyModelSd, creaminessPerGram, solutesPerGram } from "../models/texture";
import { potOnly, type Balance } from "../recipe";

/** An amount of nutrition, given per 100 g and per serving. */
export type Amount = keyof NutritionTotals;
type Mouthfeel = "richness" | "creaminess" | "solutes" | "water";

/** Every figure that is computed of a sweet: "sweetness.hot", "serving.energy", "richness" … */
export type PropertyId = "yield" | "servingMass" | `${"sweetness" | "body"}.${ServingTemperature}` | `${"serving" | "per100g"}.${Amount}` | Mouthfeel;

/** A balanced sweet, with what several properties rest on computed once. */
export interface Computed {
  readonly sweet: Balance;
  /** g, above 0 */
  readonly mass: number;
  readonly servings: number;
  readonly constants: Constants;
  /** Body of what was cooked in the pot, 0 to 10. */
  readonly hot: number;
  readonly chilled: number;
  readonly totals: NutritionTotals;
}

/** A balanced sweet made ready for its properties. A few microseconds. */
export function computed(sweet: Balance, servings: number, constants: Constants): Computed {
  const pot = potOnly(sweet);
  return {
    sweet,
    mass: Math.max(1e-9, sweet.finishedMass),
    servings,
    constants,
    hot: body(pot, "hot", constants),
    chilled: body(pot, "chilled", constants),
    totals: nutritionTotals(sweet, constants),
  };
}

/** How a figure is explained: by which working. */
export type WorkingKind =
  | { readonly kind: "mass" }
  | { readonly kind: "sweetness" | "body"; readonly serve: ServingTemperature }
  | { readonly kind: "amount"; readonly amount: Amount; readonly per: "serving" | "per100g" }
  | { readonly kind: "mouthfeel"; readonly of: Mouthfeel };

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
  /** What its model itself is unsure of, as a standard deviation in its unit, at a value of it. */
  readonly modelSd: (value: number, of: Computed) => number;
  /** From what difference on it is noticed, in its unit; null where that is not known. */
  readonly noticed: ((value: number, by: Constants["noticeable"]["value"]) => number) | null;
}

const SURE = () => 0;

const MASS: readonly Property[] = [
  {
    id: "yield",
    name: "Yield",
    unit: "g",
    per: "finished",
    shown: "yield",
    working: { kind: "mass" },
    value: ({ sweet }) => sweet.finishedMass,
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
    value: ({ sweet, servings }) => sweet.finishedMass / servings,
    modelSd: SURE,
    noticed: null,
  },
];

const AT: Readonly<Record<ServingTemperature, string>> = { hot: "hot", warm: "warm", room: "at room temperature", chilled: "chilled" };
const SHOWN_AT: readonly ServingTemperature[] = ["hot", "chilled"];

const sweetnessAt = (serve: ServingTemperature): Property => ({
  id: `sweetness.${serve}`,
  name: `Sweetness, ${AT[serve]}`,
  unit: "g",
  per: "as sugar, per 100 g",
  shown: SHOWN_AT.includes(serve) ? "tongue" : null,
  working: { kind: "sweetness", serve },
  value: ({ sweet, constants }) => sweetness(sweet, constants.temperatures[serve], constants),
  modelSd: (value, { constants }) => (value * constants.sweetnessModelShare) / Z80,
  noticed: (value, by) => by.sweetness * value,
});

const bodyServed = (serve: ServingTemperature): Property => ({
  id: `body.${serve}`,
  name: `Body, ${AT[serve]}`,
  unit: "",
  per: "step, 0 to 10",
  shown: SHOWN_AT.includes(serve) ? "tongue" : null,
  most: 10,
  working: { kind: "body", serve },
  value: ({ hot, chilled, constants }) => bodyAt(hot, chilled, serve, constants),
  modelSd: (value, { constants }) => bodyModelSd(value, constants),
  noticed: (_, by) => by.body,
});

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
export const AMOUNTS = Object.keys(AMOUNT_NAMES) as readonly Amount[];

/** What the glycaemic index of a mixed dish leaves open, of the whole sweet; other amounts are sums. */
const amountSd = (amount: Amount, { sweet, constants }: Computed): number => (amount === "glycaemicLoad" ? glycaemicLoadSd(sweet, constants) : 0);

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
      value: ({ totals, mass }) => (100 * totals[amount]) / mass,
      modelSd: (_, of) => (of.sweet.finishedMass > 0 ? (100 * amountSd(amount, of)) / of.sweet.finishedMass : 0),
    },
    {
      ...shared,
      id: `serving.${amount}`,
      per: "per serving",
      shown: rare ? "serving, above 0" : "serving",
      working: { kind: "amount", amount, per: "serving" },
      value: ({ totals, servings }) => totals[amount] / servings,
      modelSd: (_, of) => amountSd(amount, of) / of.servings,
    },
  ];
};

const perHundred = (id: Mouthfeel, name: string, per: string, grams: (of: Computed) => number): Property => ({
  id,
  name,
  unit: "g",
  per,
  shown: id === "richness" ? "tongue" : null,
  working: { kind: "mouthfeel", of: id },
  value: (of) => (100 * grams(of)) / of.mass,
  modelSd: SURE,
  noticed: id === "richness" ? (value, by) => Math.max(by.richness * value, by.richnessFloor) : null,
});

const creamy = ({ sweet }: Computed): number => {
  let grams = 0;
  for (const [i, line] of sweet.lines.entries()) grams += line.grams * creaminessPerGram(line.food, sweet.compositions[i] ?? line.food.per100g, line.role);
  return grams;
};

export const PROPERTIES: readonly Property[] = [
  ...MASS,
  ...SERVING_TEMPERATURES.flatMap((serve) => [sweetnessAt(serve), bodyServed(serve)]),
  ...AMOUNTS.flatMap(amountsOf),
  perHundred("richness", "Richness", "fat per 100 g", ({ sweet }) => sweet.totals[INDEX.fat] ?? 0),
  perHundred("creaminess", "Creaminess", "per 100 g", creamy),
  perHundred("solutes", "Dissolved solids", "per 100 g", ({ sweet }) => 100 * solutesPerGram(sweet.totals)),
  perHundred("water", "Water", "per 100 g", ({ sweet }) => sweet.totals[INDEX.water] ?? 0),
];
export const PROPERTY_IDS: readonly PropertyId[] = PROPERTIES.map(({ id }) => id);

const BY_ID = new Map(PROPERTIES.map((property) => [property.id, property] as const));

/** A property by its id; throws where the list above lacks it. */
export function propertyOf(id: PropertyId): Property {
  const found = BY_ID.get(id);
  if (!found) throw new Error(`no property ${id}`);
  return found;
}

/** Name and unit of an amount, however it is given. */
export const describeAmount = (amount: Amount): { readonly name: string; readonly unit: string } => AMOUNT_NAMES[amount];
