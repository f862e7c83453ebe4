import { Z80 } from "../numeric";
import { energyKilojoules } from "./energy";
import type { Food } from "./food";
import { INDEX, SUGAR_INDICES, sumOf } from "./nutrients";
import type { Constants } from "./reference";

export type RowFault =
  | "parts do not sum to 100"
  | "sugars and starch pass carbohydrate"
  | "sugars pass carbohydrate"
  | "saturated fat passes fat"
  | "a part may pass the whole"
  | "energy differs from the table";

export interface RowFinding {
  readonly food: string;
  readonly fault: RowFault;
  readonly amount: number;
  /** Why such a row is kept all the same, where a class of rows is known to miss. */
  readonly explained: string | null;
}

/** Amounts are rounded: a part is told to be off by half a gram at the least. */
const ROUNDED = 0.6;

const PARTS = [
  INDEX.water,
  INDEX.protein,
  INDEX.fat,
  INDEX.availableCarbohydrate,
  INDEX.solubleFibre,
  INDEX.insolubleFibre,
  INDEX.organicAcids,
  INDEX.ash,
  INDEX.erythritol,
  INDEX.xylitol,
  INDEX.allulose,
  INDEX.steviolGlycosides,
];

/**
 * Checks one row of the composition table: parts, acids among them, sum to 100 ± 4; sugars + starch ≤ available
 * carbohydrate + 4 g, sugars alone + 1 g (a column shifted shows there); saturated fat within fat; no part with its
 * interval above 100 g;
 * computed energy within 8 % of the table's (`tableEnergy`, kJ; null where the table gives none) while fibre carries
 * under 5 % of the energy. Each miss is listed and classed, never hidden.
 */
export function checkRow(food: Food, tableEnergy: number | null, factors: Constants["energyPerGram"]["value"]): RowFinding[] {
  const findings: RowFinding[] = [];
  const parts = sumOf(food.per100g, PARTS);
  if (Math.abs(parts - 100) > 4) findings.push({ food: food.id, fault: "parts do not sum to 100", amount: parts, explained: null });

  const carbohydrate = food.per100g[INDEX.availableCarbohydrate] ?? 0;
  const analysed = sumOf(food.per100g, SUGAR_INDICES) + (food.per100g[INDEX.starch] ?? 0);
  if (analysed > carbohydrate + 4)
    findings.push({
      food: food.id,
      fault: "sugars and starch pass carbohydrate",
      amount: analysed - carbohydrate,
      explained: food.provenance === "measured" ? "carbohydrate by difference, sugars and starch analysed apart" : null,
    });

  const sugars = sumOf(food.per100g, SUGAR_INDICES);
  if (sugars > carbohydrate + 1) findings.push({ food: food.id, fault: "sugars pass carbohydrate", amount: sugars - carbohydrate, explained: null });
  const overFat = (food.per100g[INDEX.saturatedFat] ?? 0) - (food.per100g[INDEX.fat] ?? 0);
  if (overFat > 0.05) findings.push({ food: food.id, fault: "saturated fat passes fat", amount: overFat, explained: null });
  for (const part of PARTS) {
    const high = (food.per100g[part] ?? 0) + Z80 * (food.sd[part] ?? 0);
    if (high > 100 + ROUNDED) findings.push({ food: food.id, fault: "a part may pass the whole", amount: high, explained: null });
  }

  const energy = energyKilojoules(food.per100g, factors);
  const fibreEnergy = factors.fibre * ((food.per100g[INDEX.solubleFibre] ?? 0) + (food.per100g[INDEX.insolubleFibre] ?? 0));
  if (tableEnergy && energy > 0 && Math.abs(energy - tableEnergy) / tableEnergy > 0.08)
    findings.push({
      food: food.id,
      fault: "energy differs from the table",
      amount: energy / tableEnergy - 1,
      explained: fibreEnergy / energy >= 0.05 ? "the table counts the energy of fibre otherwise" : null,
    });
  return findings;
}
