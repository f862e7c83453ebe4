import { interval, type Figure } from "../numeric";
import { energyKilojoules } from "./energy";
import type { Food } from "./food";
import { INDEX, MINERALS, NUTRIENTS, POLYOLS, SUGARS, type Nutrient } from "./nutrients";
import type { Constants } from "./reference";

/** Amount of a nutrient in 100 g of a food with its 80 % interval, not below nothing; g, for the minerals mg. */
export function nutrientFigure(food: Food, nutrient: Nutrient): Figure {
  const index = INDEX[nutrient];
  return interval({ value: food.per100g[index] ?? 0, sd: food.sd[index] ?? 0 });
}

export const nutrientUnit = (nutrient: Nutrient): "g" | "mg" => ((MINERALS as readonly Nutrient[]).includes(nutrient) ? "mg" : "g");

/** Sums over 100 g of a food, each Σ wᵢ·cᵢ with its spread √Σ(wᵢ·sdᵢ)² (the nutrients taken as independent). */
export interface FoodFacts {
  /** kJ. */
  readonly energy: Figure;
  /** g. */
  readonly sugars: Figure;
  readonly polyols: Figure;
  readonly fibre: Figure;
}

export function foodFacts(food: Food, constants: Pick<Constants, "energyPerGram">): FoodFacts {
  const weighted = (weight: (index: number) => number): Figure => {
    let [value, variance] = [0, 0];
    NUTRIENTS.forEach((_, index) => {
      const w = weight(index);
      value += w * (food.per100g[index] ?? 0);
      variance += (w * (food.sd[index] ?? 0)) ** 2;
    });
    return interval({ value, sd: Math.sqrt(variance) });
  };
  const among = (nutrients: readonly Nutrient[]) => (index: number) => (nutrients.some((nutrient) => INDEX[nutrient] === index) ? 1 : 0);
  // Energy is linear in the composition: each nutrient's factor is the energy of a gram of it alone.
  const factor = (index: number) => energyKilojoules({ length: NUTRIENTS.length, [index]: 1 }, constants.energyPerGram.value);
  return {
    energy: weighted(factor),
    sugars: weighted(among(SUGARS)),
    polyols: weighted(among(POLYOLS)),
    fibre: weighted(among(["solubleFibre", "insolubleFibre"])),
  };
}
