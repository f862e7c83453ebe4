import { INDEX, type Role } from "../food";
import { bodyIndex, bodySums } from "../models/texture";
import { bodyWithSlopes, indexOfBody } from "../process";
import { balance, potOnly } from "../recipe";
import { bindingPart, bodyRowPerGram, propertyPerGram, sugarsPerGram, type GelPerGram } from "./coefficients";
import { cooledState } from "./cooled";
import { leadPerGram, oilHeldPerGram, pouredOilPerGram } from "./lead";
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
  /** Binder supplied for what is taken up; 0 where nothing is. */
  readonly binding: number;
  readonly demand: number;
  /** What agar and gelatine count for in the body row, and how much of each sets to this body, as a share of the sweet. */
  readonly gel: GelPerGram;
  readonly gelShare: GelPerGram;
  /** Of its body, what comes from what sets it. */
  readonly setShare: number;
  /** Dry mass of the foods that lead the sweet, by role, g. */
  readonly lead: ReadonlyMap<Role, number>;
  /** Free oil that its flours take up, g. */
  readonly oilHeld: number;
}

/** Steps of body at which a gel is not told from none. */
const LEAST_GEL = 1;
/** The share of a gel that sets to a step of body. */
function gelShareFor(step: number, table: readonly (readonly [number, number])[]): number {
  const at = table.findIndex(([, set]) => set >= step);
  const [last, lastSet] = table.at(-1) ?? [0, 0];
  if (at < 0) return lastSet > 0 ? last / 100 : 0;
  const [to, toSet] = table[at] ?? [0, 0];
  const [from, fromSet] = table[at - 1] ?? [0, 0];
  return (from + ((to - from) * (step - fromSet)) / Math.max(1e-9, toSet - fromSet)) / 100;
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
    asked: null,
  }));
  const sum = (per: (slot: Slot) => number) => own.reduce((total, slot) => total + per(slot) * (slot.source?.grams ?? 0), 0);
  const finished = Math.max(1, sweet.finishedMass);
  const cooled = cooledState(problem);
  const index = bodyIndex(potOnly(sweet), cooled, constants);
  // What sets with a gel reads the larger of the two; in the row both add up.
  const step = bodyWithSlopes(bodySums(potOnly(sweet), cooled, constants), cooled, constants).step;
  const isGelled = index.agarPercent > 0 || index.gelatinePercent > 0;
  const gelX = cooled === "chilled" && step > LEAST_GEL ? indexOfBody(step, constants) : 0;
  const gelShare = { agar: gelShareFor(step, constants.agarGel.value), gelatine: gelShareFor(step, constants.gelatineGel.value.chilled) };
  const perGel = (share: number) => (share > 0 ? (gelX * index.serum) / (share * finished) : 0);
  const profile = problem.tables.profiles.get(problem.archetype);
  const gel = { agar: perGel(gelShare.agar), gelatine: perGel(gelShare.gelatine) };
  const bodyX = index.x + (isGelled ? gelX : 0);
  const [supply, demand] = [sum((slot) => bindingPart(slot, 0, problem).off), sum((slot) => bindingPart(slot, 0, problem).demand)];
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
    bodyX,
    proteinRatio: index.protein / index.serum,
    perGram,
    freeOil: sum(pouredOilPerGram),
    milk: sum((slot) => (isMilk(slot) ? 1 : 0)),
    pieces: sum((slot) => (isPiece(slot.food, slot.role) ? 1 : 0)),
    crunch: sum((slot) => (slot.role === "crunch" ? 1 : 0)),
    fat: sum((slot) => (slot.food.per100g[INDEX.fat] ?? 0) / 100),
    sugars: sum(sugarsPerGram),
    sodium: sum((slot) => (slot.food.per100g[INDEX.sodium] ?? 0) / 100),
    water: sum((slot) => (slot.food.id === "water" ? 1 : 0)),
    binding: demand > 0 ? supply / demand : 0,
    demand,
    gel,
    gelShare,
    setShare: sum((slot) => (slot.role === "setting" ? bodyRowPerGram(slot, problem, gel).thickening : 0)) / Math.max(1e-9, bodyX * index.serum),
    lead: new Map((profile?.lead ?? []).map((role) => [role, sum((slot) => (slot.role === role ? leadPerGram(slot) : 0))] as const)),
    oilHeld: sum(oilHeldPerGram),
  };
}
