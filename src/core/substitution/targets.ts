import { INDEX } from "../food";
import { bodyIndex, freeOilPerGram } from "../models/texture";
import { balance, potOnly } from "../recipe";
import { cooledState, propertyPerGram, sugarsPerGram } from "./coefficients";
import type { AdaptationProblem } from "./problem";
import { isMilk, isPiece, type Slot } from "./slots";
import type { SolverProperty } from "./tables";

/** What the recipe itself amounts to: the targets of every run. */
export interface Targets {
  readonly finished: number;
  readonly evaporation: number;
  readonly serum: number;
  readonly bodyX: number;
  readonly proteinRatio: number;
  readonly perGram: ReadonlyMap<SolverProperty, number>;
  readonly freeOil: number;
  readonly milk: number;
  readonly pieces: number;
  readonly crunch: number;
  readonly fat: number;
  readonly sugars: number;
  readonly sodium: number;
  readonly water: number;
}

/** The recipe's own figures, from all its lines, the banned ones included. */
export function targetsOf(problem: AdaptationProblem): Targets {
  const { constants } = problem.reference;
  const sweet = balance(problem.lines, problem.evaporation.value, problem.cookMinutes, undefined, problem.apart);
  const own: Slot[] = problem.lines.map((line) => ({
    key: "",
    role: line.role,
    food: line.food,
    source: line,
    least: 0,
    most: 0,
    affinity: 0,
    optional: false,
    locked: true,
  }));
  const sum = (per: (slot: Slot) => number) => own.reduce((total, slot) => total + per(slot) * (slot.source?.grams ?? 0), 0);
  const finished = Math.max(1, sweet.finishedMass);
  const index = bodyIndex(potOnly(sweet), cooledState(problem), constants);
  const profile = problem.tables.profiles.get(problem.archetype);
  const perGram = new Map<SolverProperty, number>();
  for (const { property } of profile?.bands ?? []) {
    const total = sum((slot) => propertyPerGram(slot, property, problem));
    const evaporated = property === "water" ? sweet.evaporation : 0;
    perGram.set(property, (total - evaporated) / finished);
  }
  return {
    finished,
    evaporation: sweet.evaporation,
    serum: index.serum,
    bodyX: index.x,
    proteinRatio: index.protein / index.serum,
    perGram,
    freeOil: sum((slot) => freeOilPerGram(slot.food, slot.food.per100g)),
    milk: sum((slot) => (isMilk(slot) ? 1 : 0)),
    pieces: sum((slot) => (isPiece(slot.food, slot.role) ? 1 : 0)),
    crunch: sum((slot) => (slot.role === "crunch" ? 1 : 0)),
    fat: sum((slot) => (slot.food.per100g[INDEX.fat] ?? 0) / 100),
    sugars: sum(sugarsPerGram),
    sodium: sum((slot) => (slot.food.per100g[INDEX.sodium] ?? 0) / 100),
    water: sum((slot) => (slot.food.id === "water" ? 1 : 0)),
  };
}
