import { MICRONUTRIENT_UNITS, MICRONUTRIENTS, type Micronutrient } from "../food";
import { describeAmount, type Amount } from "../evaluate";

/** A row of the nutrition table: an amount that the models give, salt, or a micronutrient. */
export type NutritionRowId = Amount | "salt" | Micronutrient;

const MICRO_NAMES: Readonly<Record<Micronutrient, string>> = {
  alphaLinolenic: "α-linolenic acid",
  magnesium: "Magnesium",
  zinc: "Zinc",
  phosphorus: "Phosphorus",
  vitaminA: "Vitamin A (RAE)",
  folate: "Folate",
  vitaminC: "Vitamin C",
  oxalate: "Oxalate",
  phytate: "Phytate",
};

export const isMicronutrient = (id: NutritionRowId): id is Micronutrient => (MICRONUTRIENTS as readonly NutritionRowId[]).includes(id);

/** Name and unit of a row. */
export function describeRow(id: NutritionRowId): { readonly name: string; readonly unit: string } {
  if (id === "salt") return { name: "Salt (sodium × 2.5)", unit: "g" };
  if (isMicronutrient(id)) return { name: MICRO_NAMES[id], unit: MICRONUTRIENT_UNITS[id] };
  return describeAmount(id);
}

/** All rows, in the order in which they are read: the compiler misses one that there is. */
const ROWS: Readonly<Record<NutritionRowId, true>> = {
  energy: true,
  fat: true,
  saturatedFat: true,
  alphaLinolenic: true,
  availableCarbohydrate: true,
  totalSugars: true,
  addedSugars: true,
  freeSugarsWho: true,
  freeSugarsUk: true,
  polyols: true,
  fibre: true,
  protein: true,
  salt: true,
  sodium: true,
  calcium: true,
  iron: true,
  magnesium: true,
  zinc: true,
  phosphorus: true,
  vitaminA: true,
  folate: true,
  vitaminC: true,
  oxalate: true,
  phytate: true,
  glycaemicLoad: true,
};
export const NUTRITION_ROWS = Object.keys(ROWS) as readonly NutritionRowId[];
