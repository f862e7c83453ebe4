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
  const weighted = (weights: readonly number[]): Figure => {
    let [value, variance] = [0, 0];
    for (let n = 0; n < weights.length; n++) {
      const weight = weights[n] ?? 0;
      if (weight === 0) continue;
      value += weight * (food.per100g[n] ?? 0);
      variance += (weight * (food.sd[n] ?? 0)) ** 2;
    }
    return interval({ value, sd: Math.sqrt(variance) });
  };
  return { energy: weighted(energyWeights(constants)), sugars: weighted(SUGAR), polyols: weighted(POLYOL), fibre: weighted(FIBRE) };
}

const among = (nutrients: readonly Nutrient[]) => NUTRIENTS.map((nutrient) => (nutrients.includes(nutrient) ? 1 : 0));
const SUGAR = among(SUGARS);
const POLYOL = among(POLYOLS);
const FIBRE = among(["solubleFibre", "insolubleFibre"]);

const weightsOf = new WeakMap<object, readonly number[]>();

/** Energy is linear in the composition: the factor of each nutrient is the energy of a gram of it alone. */
function energyWeights({ energyPerGram }: Pick<Constants, "energyPerGram">): readonly number[] {
  const known = weightsOf.get(energyPerGram);
  if (known) return known;
  const weights = NUTRIENTS.map((_, index) => energyKilojoules({ length: NUTRIENTS.length, [index]: 1 }, energyPerGram.value));
  weightsOf.set(energyPerGram, weights);
  return weights;
}
