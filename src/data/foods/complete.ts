import type { Family, Food, Role, SugarClass } from "../../core/food";
import type { Traits } from "./row";

const ROLE_OF: Readonly<Record<Family, Role>> = {
  cereal: "body", "pseudo-cereal": "body", pulse: "body", oilseed: "crunch", nut: "crunch", fruit: "bulk", vegetable: "bulk",
  root: "bulk", dairy: "liquid", egg: "binder", sweetener: "sweetener", starch: "thickener", gum: "thickener", spice: "aroma",
  fat: "richness", salt: "seasoning", drink: "liquid", water: "liquid", essence: "aroma",
};

const SUGAR_CLASS_OF: Readonly<Partial<Record<Family, SugarClass>>> = {
  fruit: "whole fruit", dairy: "milk", sweetener: "added", drink: "plant drink",
};

/** Bulk density (g per ml) when only the family is known; wide, and the reading says so. */
export const FAMILY_DENSITY: Readonly<Partial<Record<Family, number>>> = {
  cereal: 0.75, "pseudo-cereal": 0.75, pulse: 0.8, oilseed: 0.6, nut: 0.57, fruit: 0.65, vegetable: 0.5, root: 0.5,
  starch: 0.55, spice: 0.42, fat: 0.91, drink: 1.02, water: 1, sweetener: 0.8, dairy: 1.02, egg: 1.03, salt: 1.2, essence: 0.9, gum: 0.6,
};

/** Everything the models need of a food, from what its family implies and what the row says. */
export function completeTraits(family: Family, traits: Traits): Omit<Food, "id" | "name" | "provenance" | "source" | "revision" | "per100g" | "sd" | "micro" | "microSd" | "unknown" | "lookAlikes" | "family"> {
  const starchy = family === "cereal" || family === "pulse";
  return {
    synonyms: traits.synonyms ?? [],
    origin: traits.origin ?? (family === "dairy" ? "dairy" : family === "egg" ? "egg" : family === "salt" || family === "water" ? "mineral" : "plant"),
    allergens: traits.allergens ?? (family === "dairy" ? ["milk"] : family === "egg" ? ["egg"] : []),
    mayContain: traits.mayContain ?? [],
    nature: null,
    parts: [],
    cooked: null,
    sugarClass: traits.sugarClass ?? SUGAR_CLASS_OF[family] ?? "intact",
    thickening: traits.thickening ?? { fibreShare: starchy ? 0.5 : 1, proteinCounts: family === "dairy" || family === "nut" },
    glycaemicIndex: traits.glycaemicIndex ?? null,
    freeOil: traits.freeOil ?? (family === "fat" ? 1 : family === "nut" || family === "oilseed" ? 0.1 : 0),
    solidFat: traits.solidFat ?? (family === "dairy" ? 0.2 : 0),
    density: traits.density ?? null,
    pours: traits.pours ?? (family === "drink" || family === "fat" || family === "water" || family === "dairy"),
    counted: traits.counted ?? [],
    forms: traits.forms ?? {},
    weighed: [],
    pricePerGram: null,
    role: traits.role ?? ROLE_OF[family],
    note: traits.note ?? null,
  };
}
