import { MICRONUTRIENTS, NUTRIENTS, type Family, type Food, type Role, type SugarClass } from "../../core/food";
import { MICROS } from "./micros";
import { lookAlikesOf } from "./look-alikes";
import type { FoodRow, Traits } from "./row";

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

/** Micronutrients vary more from one purchase to the next than the rest: at least this share (rule of thumb). */
const LEAST_MICRO_SHARE = 0.15;

/** A food of a row written by hand. `foods` are those already made, of which it may be computed. */
export function completeRow(row: FoodRow, foods: ReadonlyMap<string, Food>): Food {
  const { id, name, family, provenance, source, spread, per100g, micro = MICROS[row.id] ?? {}, madeOf = {}, ...traits } = row;
  const amounts = NUTRIENTS.map((nutrient) => per100g[nutrient] ?? 0);
  const parts = Object.entries(madeOf).map(([part, share]) => ({ micro: foods.get(part)?.micro ?? [], share }));
  const micros = MICRONUTRIENTS.map((nutrient, n) => {
    const given = micro[nutrient];
    if (given !== undefined) return given;
    if (parts.length === 0) return null;
    let sum = 0;
    for (const part of parts) {
      const amount = part.micro[n];
      if (amount === null || amount === undefined) return null;
      sum += amount * part.share;
    }
    return sum;
  });
  return {
    id, name, family, provenance, source, revision: 1,
    per100g: amounts,
    sd: amounts.map((amount) => amount * spread),
    micro: micros,
    microSd: micros.map((amount) => (amount === null ? null : amount * Math.max(spread, LEAST_MICRO_SHARE))),
    unknown: [],
    lookAlikes: lookAlikesOf(id),
    ...completeTraits(family, traits),
  };
}
