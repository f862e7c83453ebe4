import type { Food, Treatment } from "./food";

/** Dried fruit that comes to a wet sweet of its own accord goes in whole, and sweetens in part. */
export const asAdded = (food: Food): Treatment | undefined =>
  food.family === "fruit" && food.nature?.form === "whole" && food.nature.processing === "dried" ? { pieces: "whole" } : undefined;

const known = new WeakMap<Food, Map<string, Food>>();
/** So many treatments of one food are remembered. */
const MOST_KNOWN = 64;

/** A food as the steps treat it: what models read instead of it. The same object for the same treatment. */
export function asTreated(food: Food, treatment: Treatment | undefined): Food {
  if (!treatment || Object.keys(treatment).length === 0) return food;
  const byTreatment = known.get(food) ?? new Map<string, Food>();
  known.set(food, byTreatment);
  const key = JSON.stringify(treatment);
  const found = byTreatment.get(key);
  if (found) return found;
  if (byTreatment.size >= MOST_KNOWN) byTreatment.clear();
  const made = treatedFood(food, treatment);
  byTreatment.set(key, made);
  return made;
}

/** What of a treatment a food takes: what stands for raisins is no fruit in pieces, what stands for sugar may not brown. */
function of(food: Food, { pieces, caramel, caramelShare, dissolved, egg, ...rest }: Treatment): Treatment {
  const isSweetener = food.family === "sweetener";
  return {
    ...rest,
    ...(pieces && food.family === "fruit" ? { pieces } : {}),
    ...(caramel && isSweetener ? { caramel, ...(caramelShare === undefined ? {} : { caramelShare }) } : {}),
    ...(dissolved && isSweetener ? { dissolved } : {}),
    ...(egg && food.thickening.egg ? { egg } : {}),
  };
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
    treated: of(food, treatment),
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
