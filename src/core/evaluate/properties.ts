import { SERVING_TEMPERATURES } from "../food";

/** Amounts of nutrition, each given per 100 g and per serving, with its unit and the digits of its name on screen. */
export const AMOUNTS = [
  ["energy", "kJ", "Energy"],
  ["protein", "g", "Protein"],
  ["fat", "g", "Fat"],
  ["saturatedFat", "g", "Saturated fat"],
  ["availableCarbohydrate", "g", "Available carbohydrate"],
  ["totalSugars", "g", "Total sugars"],
  ["addedSugars", "g", "Added sugars"],
  ["freeSugarsWho", "g", "Free sugars (WHO)"],
  ["freeSugarsUk", "g", "Free sugars (UK, stricter)"],
  ["fibre", "g", "Fibre"],
  ["polyols", "g", "Polyols"],
  ["sodium", "mg", "Sodium"],
  ["calcium", "mg", "Calcium"],
  ["iron", "mg", "Iron"],
  ["glycaemicLoad", "", "Glycaemic load"],
] as const;
export type Amount = (typeof AMOUNTS)[number][0];

export const MOUTHFEELS = ["richness", "creaminess", "solutes", "water"] as const;
export type Mouthfeel = (typeof MOUTHFEELS)[number];

/** Every figure that is computed of a sweet: "sweetness.hot", "serving.energy", "richness" … */
export type PropertyId =
  "yield" | "servingMass" | `${"sweetness" | "body"}.${(typeof SERVING_TEMPERATURES)[number]}` | `${"serving" | "per100g"}.${Amount}` | Mouthfeel;

export const PROPERTY_IDS: readonly PropertyId[] = [
  "yield",
  "servingMass",
  ...SERVING_TEMPERATURES.flatMap((serve): PropertyId[] => [`sweetness.${serve}`, `body.${serve}`]),
  ...AMOUNTS.flatMap(([amount]): PropertyId[] => [`per100g.${amount}`, `serving.${amount}`]),
  ...MOUTHFEELS,
];

const AT: Readonly<Record<string, string>> = { hot: "hot", warm: "warm", room: "at room temperature", chilled: "chilled" };
const MOUTHFEEL_NAMES: Readonly<Record<string, string>> = { richness: "Richness", creaminess: "Creaminess", solutes: "Dissolved solids", water: "Water" };

/** Name and unit of a property for the screen. */
export function describeProperty(id: PropertyId): { readonly name: string; readonly unit: string; readonly per: string } {
  if (id === "yield") return { name: "Yield", unit: "g", per: "finished" };
  if (id === "servingMass") return { name: "Serving", unit: "g", per: "each" };
  const [group = "", key = ""] = id.split(".");
  if (group === "sweetness") return { name: `Sweetness, ${AT[key]}`, unit: "g", per: "as sugar, per 100 g" };
  if (group === "body") return { name: `Body, ${AT[key]}`, unit: "", per: "step, 0 to 10" };
  const amount = AMOUNTS.find(([name]) => name === key);
  if (amount) return { name: amount[2], unit: amount[1], per: group === "serving" ? "per serving" : "per 100 g" };
  return { name: MOUTHFEEL_NAMES[id] ?? id, unit: "g", per: id === "richness" ? "fat per 100 g" : "per 100 g" };
}
