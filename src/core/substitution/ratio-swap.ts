import { INDEX, type Constants, type Food, type Role, type ServingTemperature } from "../food";
import { sucroseEquivalentPerGram } from "../models/sweetness";
import { thickeningPerGram } from "../process";

export interface RatioSwap {
  readonly grams: number;
  /** What is kept the same: "as sweet", "as much fat". */
  readonly keeps: string;
  /** Water that the swap brings (positive) or takes away, g: what the liquid should be changed by. */
  readonly water: number;
}

/**
 * Grams of one food that do for another in its role: equal sweetness for sweeteners, equal fat, equal thickening, equal
 * water for liquids, else equal mass. A ratio for one exchange by itself; null where the food cannot do it at all.
 * High-potency sweeteners are taken at 300 mg steviol glycosides per kg, where 1 g does for about 200.
 */
export function ratioSwap(from: Food, grams: number, to: Food, role: Role, serve: ServingTemperature, constants: Constants): RatioSwap | null {
  const strength = (food: Food): readonly [perGram: number, keeps: string] => {
    const of = (index: number) => (food.per100g[index] ?? 0) / 100;
    switch (role) {
      case "sweetener":
        return [
          sucroseEquivalentPerGram(food, food.per100g, constants.temperatures[serve], constants) + of(INDEX.steviolGlycosides) * STEVIOL_AT_300,
          "as sweet",
        ];
      case "richness":
        return [of(INDEX.fat), "as much fat"];
      case "body":
      case "thickener": {
        const parts = thickeningPerGram(food, food.per100g, serve === "hot" || serve === "warm" ? "hot" : "chilled", null, constants);
        return [parts.starch + parts.fibre + parts.particles + parts.egg + parts.other, "as much body"];
      }
      case "liquid":
        return [of(INDEX.water), "as much water"];
      default:
        return [1, "as much"];
    }
  };
  const [before, keeps] = strength(from);
  const [after] = strength(to);
  if (after <= 1e-4) return null;
  const needed = before <= 1e-4 ? grams : (grams * before) / after;
  const water = (needed * (to.per100g[INDEX.water] ?? 0) - grams * (from.per100g[INDEX.water] ?? 0)) / 100;
  return { grams: needed, keeps, water };
}

/** Sucrose equivalent of a gram of steviol glycosides at 300 mg/kg by the curve: 6 g per 100 g / 0.03 g per 100 g. */
const STEVIOL_AT_300 = 200;
