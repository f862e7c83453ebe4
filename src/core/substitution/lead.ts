import { INDEX, type Food } from "../food";
import { freeOilPerGram } from "../models/texture";
import type { Slot } from "./slots";

type Of = Pick<Slot, "food" | "role">;

/**
 * How much of what leads a sweet a gram counts for: its dry mass; milks by the gram.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables
 */
export const leadPerGram = ({ food, role }: Of): number => (food.id === "water" ? 0 : role === "liquid" ? 1 : 1 - (food.per100g[INDEX.water] ?? 0) / 100);

/** g of free oil that a gram of flour takes up as it is roasted, by how fine it is and what it holds: rules of thumb. */
const HELD = { pulse: 0.9, fine: 0.75, semolina: 0.6, whole: 0.45 } as const;

/**
 * Free oil that a gram takes up.
 * @unit g per g
 * @range 0 to 0.9
 * @source rules of thumb
 */
export function oilHeldPerGram({ food, role }: Of): number {
  if (role !== "body" || !isDryStarch(food)) return 0;
  if (food.family === "pulse") return HELD.pulse;
  const form = food.nature?.form;
  return form === "flour" ? HELD.fine : form === "grits" ? HELD.semolina : HELD.whole;
}

/**
 * Free oil that a gram brings into the pot: what is in whole nuts and seeds stays in them.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables; what is bound is a rule of thumb
 */
export const pouredOilPerGram = ({ food, role }: Of): number =>
  (role === "body" || role === "crunch") && food.nature?.form === "whole" ? 0 : freeOilPerGram(food, food.per100g);

const isDryStarch = (food: Food): boolean =>
  ["cereal", "pseudo-cereal", "pulse", "starch", "root", "oilseed"].includes(food.family) &&
  (food.per100g[INDEX.water] ?? 0) < 20 &&
  food.thickening.starch !== undefined;
