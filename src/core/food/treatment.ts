import type { Food } from "./food";

/** What the steps do to a food beside what the whole pot goes through; absent where they do nothing of the kind. */
export interface Treatment {
  /** Ground, blended or crushed: to a paste, or to something coarser. */
  readonly ground?: "coarse" | "fine";
  /** Soaked for hours before it is cooked. */
  readonly soaked?: boolean;
  /** Wet heat that it goes through, minutes; one under pressure counts three. */
  readonly minutes?: number;
  /** Pulses: the share that falls apart, 0 to 1. */
  readonly broken?: number;
  /** Sugar: how far it is caramelised, and what share of it; all where that is absent. */
  readonly caramel?: "light" | "amber" | "dark";
  readonly caramelShare?: number;
  /** Sugar: melted or boiled to a syrup. */
  readonly dissolved?: boolean;
  /** Roasted or fried dry, or in fat, until it smells and darkens. */
  readonly toasted?: boolean;
  /** What heat does to egg. */
  readonly egg?: "raw" | "stirred" | "baked";
  /** Fruit that stays in pieces, and is cut or left whole. */
  readonly pieces?: "whole" | "cut";
}

/** Dried fruit that comes to a wet sweet of its own accord goes in whole, and sweetens in part. */
export const asAdded = (food: Food): Treatment | undefined =>
  food.family === "fruit" && food.nature?.form === "whole" && food.nature.processing === "dried" ? { pieces: "whole" } : undefined;

const known = new WeakMap<Food, Map<string, Food>>();

/** A food as the steps treat it: what models read instead of it. The same object for the same treatment. */
export function asTreated(food: Food, treatment: Treatment | undefined): Food {
  if (!treatment || Object.keys(treatment).length === 0) return food;
  const byTreatment = known.get(food) ?? new Map<string, Food>();
  known.set(food, byTreatment);
  const key = JSON.stringify(treatment);
  const found = byTreatment.get(key) ?? treatedFood(food, treatment);
  byTreatment.set(key, found);
  return found;
}

function treatedFood(food: Food, treatment: Treatment): Food {
  const { starch } = food.thickening;
  const isFruit = food.family === "fruit" && (food.sugarClass === "whole fruit" || food.sugarClass === "intact");
  const sugarClass = !isFruit
    ? food.sugarClass
    : treatment.ground
      ? "puréed fruit"
      : (treatment.minutes ?? 0) > 0 && treatment.pieces !== "whole"
        ? "cooked fruit pieces"
        : food.sugarClass;
  const isPulp = treatment.ground !== undefined && (food.family === "fruit" || food.family === "vegetable" || food.family === "root");
  return {
    ...food,
    treated: treatment,
    sugarClass,
    thickening: {
      ...food.thickening,
      ...(starch && treatment.ground
        ? { starch: { ...starch, grain: treatment.ground === "fine" ? "ground" : starch.grain === "whole" ? "cracked" : "ground" } }
        : {}),
      ...(isPulp ? { fibreShare: 1 as const } : {}),
    },
  };
}
