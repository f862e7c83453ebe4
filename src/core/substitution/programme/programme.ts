import type { Archetype } from "../../recipe";
import { INDEX } from "../../food";
import { propertyPerGram } from "../coefficients";
import { leadPerGram } from "../lead";
import { ModelBuilder } from "../../numeric";
import type { Opening } from "../open-roles";
import type { AdaptationProblem } from "../problem";
import type { Run } from "../run";
import { slots, type Slot } from "../slots";
import type { Targets } from "../targets";

/** A column and its coefficient in a row. */
export type Term = [column: number, coefficient: number];

/** A mixed-integer programme while it is built: its columns are there, row families write into it. */
export interface Programme {
  readonly builder: ModelBuilder;
  readonly problem: AdaptationProblem;
  readonly opening: Opening;
  readonly targets: Targets;
  readonly run: Run;
  readonly all: readonly Slot[];
  /** Grams of a slot, whether it is used, and water driven off. */
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly e: number;
  /** Weight of every cost but the one that is minimised alone. */
  readonly settle: number;
}

/** How much of a food's affinity is charged again by its share of the sweet. */
const DOSE_SHARE = 6;

/** Begins a programme: columns for water driven off, grams and use. */
export function begin(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run): Programme {
  const builder = new ModelBuilder();
  const all = slots(problem, opening, targets.finished).map((slot) => ({ ...slot, most: Math.max(slot.least, tightest(slot, problem, targets)) }));
  const settle = run.minimised === null ? 1 : 0.001;
  const e = evaporationColumn(builder, problem, opening, targets);
  const x: number[] = [];
  const y: number[] = [];
  for (const slot of all) {
    const fixed = run.fixed.get(slot.key);
    const used = run.used?.has(slot.key);
    const dose = slot.source ? 0 : (DOSE_SHARE * Math.max(0, slot.affinity)) / targets.finished;
    const most = used === false ? 0 : slot.most;
    x.push(builder.column(`x_${slot.key}`, fixed ?? 0, fixed ?? most, dose * settle));
    const must = !slot.optional || (slot.locked && !slot.source?.optional);
    const [low, high] =
      used === undefined
        ? [must && (slot.food.id !== "water" || slot.source?.inCaramel === true || (slot.asked?.[0] ?? 0) > 0) ? 1 : 0, 1]
        : used
          ? [1, 1]
          : [0, 0];
    y.push(builder.column(`y_${slot.key}`, low, high, noveltyOf(slot, run) * settle, run.used === null));
  }
  return { builder, problem, opening, targets, run, all, x, y, e, settle };
}

/** Of what leads, of fat and of sweetness a version has no more than so many times the recipe's, whatever makes it up. */
const AT_MOST = { lead: 1.6, fat: 1.6, sweetness: 1.32 } as const;

/** The most that a slot can hold by what it alone would make of the sweet: close bounds make the search short. */
function tightest(slot: Slot, problem: AdaptationProblem, { lead, fat, finished, perGram }: Targets): number {
  const { role, food, most } = slot;
  const bounds = [most];
  const own = lead.get(role) ?? 0;
  if (own > 0 && leadPerGram(slot) > 0) bounds.push((AT_MOST.lead * own) / leadPerGram(slot));
  const fatShare = (food.per100g[INDEX.fat] ?? 0) / 100;
  if (role === "richness" && fat > 0 && fatShare > 0.3) bounds.push((AT_MOST.fat * fat) / fatShare);
  const sweetness = perGram.get("sweetness") ?? 0;
  const sweet = role === "sweetener" ? propertyPerGram(slot, "sweetness", problem) : 0;
  if (sweetness > 0 && sweet > 0) bounds.push((AT_MOST.sweetness * sweetness * finished) / sweet);
  return Math.min(...bounds);
}

/** Kinds whose milk is boiled down for its own sake. */
const BOILED_DOWN: readonly Archetype[] = ["pudding", "frozen", "sauce"];
/** Whether a dairy milk leaves that would be boiled down for its own sake. */
const isBoiledDown = (problem: AdaptationProblem, opening: Opening): boolean =>
  BOILED_DOWN.includes(problem.archetype) &&
  problem.lines.some((line) => opening.banned.has(line.id) && line.role === "liquid" && line.food.origin === "dairy");
/** What a pot drives off: about as much as the recipe; of plant milks, which are not boiled down, about half. */
function evaporationColumn(builder: ModelBuilder, problem: AdaptationProblem, opening: Opening, { evaporation }: Targets): number {
  const dairyLeaves = isBoiledDown(problem, opening);
  const [lowShare, highShare] = dairyLeaves ? [PLANT_SHARES[0], DAIRY_SHARES[1]] : DAIRY_SHARES;
  // What is not there takes up no water.
  const soaked = problem.lines.filter(({ treated }) => treated?.soaked);
  const gone = soaked.length > 0 && soaked.every(({ id }) => opening.banned.has(id)) ? problem.takenUp : 0;
  const bounds = [(evaporation + gone) * lowShare, (evaporation + gone) * highShare] as const;
  return builder.column("e", Math.min(...bounds), Math.max(...bounds));
}

/** Of what the recipe drives off, a version drives off between so much; of plant milks, which are not boiled down. */
const DAIRY_SHARES = [0.8, 1.1] as const;
const PLANT_SHARES = [0.25, 0.6] as const;

/** A milk that is boiled down for its own sake is so with another dairy milk too, and only with that. */
export function evaporationRows({ builder, problem, opening, targets: { evaporation }, all, y, e }: Programme): void {
  if (!isBoiledDown(problem, opening) || evaporation <= 0) return;
  const dairy = all.flatMap((slot, i): Term[] => (slot.role === "liquid" && slot.food.origin === "dairy" ? [[y[i] ?? 0, 1]] : []));
  builder.row("driven_most", -Infinity, PLANT_SHARES[1] * evaporation, [
    [e, 1],
    ...dairy.map(([use]): Term => [use, (PLANT_SHARES[1] - DAIRY_SHARES[1]) * evaporation]),
  ]);
  dairy.forEach(([use], i) =>
    builder.row(`driven_least_${i}`, PLANT_SHARES[0] * evaporation, Infinity, [
      [e, 1],
      [use, (PLANT_SHARES[0] - DAIRY_SHARES[0]) * evaporation],
    ]),
  );
}

/** What using a food costs: little for the recipe's own, more for a new one. */
function noveltyOf({ source, locked, food, affinity }: Slot, { noveltyWeight }: Run): number {
  const water = food.id === "water";
  if (source) return locked || water ? 0 : -0.5;
  return (water ? 0.1 : noveltyWeight) + affinity;
}

/** A sum over the grams of all slots; those that bring nothing are left out. */
export const sum = ({ all, x }: Programme, per: (slot: Slot) => number, factor = 1): Term[] =>
  all.flatMap((slot, i): Term[] => {
    const value = per(slot) * factor;
    return value === 0 ? [] : [[x[i] ?? 0, value]];
  });

/** How many of some slots are used. */
export const used = ({ all, y }: Programme, test: (slot: Slot) => boolean): Term[] => all.flatMap((slot, i): Term[] => (test(slot) ? [[y[i] ?? 0, 1]] : []));

/** So many times the finished mass. */
export const mass = (programme: Programme, factor: number): Term[] => [...sum(programme, () => 1, factor), [programme.e, -factor]];
