import { asTreated, INDEX, sumOf, SUGAR_INDICES, energyKilojoules } from "../food";
import { freeSugarsPerGram, glycaemicLoadPerGram } from "../models/nutrition";
import { sucroseEquivalentPerGram } from "../models/sweetness";
import { creaminessPerGram, solidFatPerGram, solutesPerGram } from "../models/texture";
import { freezingEquivalentPerGram } from "../models/freezing";
import { bindingPerGram } from "../models/binding";
import { bodyPerGram } from "../process";
import { cooledState } from "./cooled";
import type { AdaptationProblem } from "./problem";
import type { Limit } from "../table";
import { isPiece, type Slot } from "./slots";
import { isWet, treatmentFor } from "./version";
import type { SolverProperty } from "./tables";

/** Binder that a gram of a slot's food gives less the share of it that it takes up: 0 in sum where a sweet binds as the recipe does. */
export function bindingPart(slot: Slot, ratio: number, problem: AdaptationProblem): { readonly off: number; readonly demand: number } {
  const food = asTreated(slot.food, treatmentFor(slot.food, slot.source ?? undefined, isWet(problem.lines)));
  const { demand, supply } = bindingPerGram(food, food.per100g, problem.reference.constants);
  return { off: supply - ratio * demand, demand };
}

/**
 * What one gram of a slot adds to a property's sum over the sweet (before dividing by the mass), for those that are plain sums.
 * @unit of the property, times g of sweet, per g
 * @range any
 * @source the models of each property, per gram
 */
export function propertyPerGram(slot: Slot, property: SolverProperty, problem: AdaptationProblem): number {
  const { constants } = problem.reference;
  const food = asTreated(slot.food, treatmentFor(slot.food, slot.source ?? undefined, isWet(problem.lines)));
  const composition = food.per100g;
  switch (property) {
    case "sweetness":
      return food.id === "stevia" ? 0 : sucroseEquivalentPerGram(food, composition, constants.temperatures[problem.serve], constants);
    case "water":
      return (composition[INDEX.water] ?? 0) / 100;
    case "fat":
      return (composition[INDEX.fat] ?? 0) / 100;
    case "protein":
      return (composition[INDEX.protein] ?? 0) / 100;
    case "creaminess":
      return creaminessPerGram(slot.food, composition, slot.role);
    case "solutes":
      return solutesPerGram(composition);
    case "freezing":
      return freezingEquivalentPerGram(composition, constants);
    case "dry":
      return 1 - (composition[INDEX.water] ?? 0) / 100;
    case "solidFat":
      return solidFatPerGram(slot.food, composition);
    case "chew":
      return isPiece(slot.food, slot.role) ? 1 : 0;
    case "grain":
      return slot.role === "body" ? (problem.tables.grainClasses.get(slot.food.id) ?? 1) : 0;
    case "body":
    case "gel":
    case "binding":
      return 0;
  }
}

/** What a gram of agar or gelatine counts for in the body row, so that as much of it as sets to the recipe's body fills the row. */
export interface GelPerGram {
  readonly agar: number;
  readonly gelatine: number;
}
export const NO_GEL: GelPerGram = { agar: 0, gelatine: 0 };

/** A slot's part in the body row: thickening other than protein (as X·V), serum, and the protein that counts; per gram. */
export function bodyRowPerGram(
  slot: Slot,
  problem: AdaptationProblem,
  gel: GelPerGram = NO_GEL,
): { readonly thickening: number; readonly serum: number; readonly protein: number } {
  // What is served beside the sweet has no part in its body.
  if (slot.source?.apart) return { thickening: 0, serum: 0, protein: 0 };
  const { constants } = problem.reference;
  const food = asTreated(slot.food, treatmentFor(slot.food, slot.source ?? undefined, isWet(problem.lines)));
  const parts = bodyPerGram(food, food.per100g, cooledState(problem), problem.cookMinutes, constants);
  // What cultured protein adds counts from a threshold on, which the row leaves out.
  return {
    thickening: 100 * (parts.thick + parts.egg + constants.cultured.value.perPercent * parts.cultured) + gel.agar * parts.agar + gel.gelatine * parts.gelatine,
    serum: parts.serum,
    protein: parts.protein,
  };
}

/**
 * What one gram of a slot adds to what a limit bounds, in the limit's unit over the whole sweet.
 * @unit of the limit, per g
 * @range 0 or more
 * @source the models of each limit, per gram
 */
export function limitPerGram(slot: Pick<Slot, "food"> & Partial<Pick<Slot, "source">>, limit: Limit, problem: AdaptationProblem): number {
  const { constants } = problem.reference;
  const food = asTreated(slot.food, treatmentFor(slot.food, slot.source ?? undefined, isWet(problem.lines)));
  const composition = food.per100g;
  switch (limit.id) {
    case "freeSugars":
      return freeSugarsPerGram(food, composition, limit.school, constants);
    case "energy":
      return energyKilojoules(composition, constants.energyPerGram.value) / 100;
    case "saturatedFat":
      return (composition[INDEX.saturatedFat] ?? 0) / 100;
    case "glycaemicLoad":
      return glycaemicLoadPerGram(food, composition, constants);
    case "sodium":
      return (composition[INDEX.sodium] ?? 0) / 100;
  }
}

/**
 * Sugars of a gram of a slot's food.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables
 */
export const sugarsPerGram = (slot: Slot): number => sumOf(slot.food.per100g, SUGAR_INDICES) / 100;
/**
 * Polyols of a gram of a slot's food.
 * @unit g per g
 * @range 0 to 1
 * @source composition tables
 */
export const polyolsPerGram = (slot: Slot): number => ((slot.food.per100g[INDEX.erythritol] ?? 0) + (slot.food.per100g[INDEX.xylitol] ?? 0)) / 100;
