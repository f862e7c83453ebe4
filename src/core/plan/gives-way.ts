import { solvePlan, type SolvedPlan } from "./solve";
import type { Obstacle, PlanKitchen, PlanProblem } from "./task";

/** What could give way so that all finds its place, the least of its kind. */
export type GivesWay =
  | { readonly kind: "pan"; readonly ml: number }
  | { readonly kind: "burner" | "oven" | "mixer" | "cook" }
  | { readonly kind: "fridge"; readonly litres: number }
  /** Begun so many minutes sooner, or served so many later. */
  | { readonly kind: "sooner" | "later"; readonly minutes: number }
  /** Without the hours in which no mixer runs, all sleep, nobody is there, or nobody tastes. */
  | { readonly kind: "quiet hours" | "night" | "away" | "tasting" }
  /** What was set by hand is let go. */
  | { readonly kind: "pins" };

/** Something that finds no place, what is in its way, and what would do, each alone. */
export interface PlanClash {
  readonly task: string;
  readonly because: Obstacle;
  readonly ways: readonly GivesWay[];
}

/** Minutes sooner or later that are tried, the least first. */
const STEPS = [15, 30, 45, 60, 90, 120, 180, 240, 360, 480, 600, 720, 960, 1440] as const;
/** Tries for each of what could give way: enough to see that it does. */
const ROUNDS = 40;

/** How it is tried: by what seed, and for as long as `goOn` says. */
interface Trying {
  readonly seed: number;
  readonly goOn: () => boolean;
}
const isWhole = (problem: PlanProblem, { seed, goOn }: Trying): boolean => goOn() && solvePlan(problem, { seed, rounds: ROUNDS, goOn }).score.failed === 0;
const withKitchen = (problem: PlanProblem, part: Partial<PlanKitchen>): PlanProblem => ({ ...problem, kitchen: { ...problem.kitchen, ...part } });

/**
 * Why a plan is not whole, and the least that would have to give way: each is tried by solving with it. Every way that is told was found to do; that none is
 * told does not prove that none does.
 */
export function clashesOf(problem: PlanProblem, { laid: { failed } }: Pick<SolvedPlan, "laid">, trying: Trying): readonly PlanClash[] {
  if (failed.length === 0) return [];
  const ways = waysOf(problem, failed, trying);
  return failed.map(({ id, because }) => ({ task: id, because, ways }));
}

function waysOf(problem: PlanProblem, failed: readonly { readonly id: string; readonly because: Obstacle }[], trying: Trying): readonly GivesWay[] {
  const { kitchen, pots, tasks, pinned, sweets } = problem;
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const needOf = new Map(pots.map(({ id, ml }) => [id, ml] as const));
  const does = (part: Partial<PlanKitchen>) => isWhole(withKitchen(problem, part), trying);
  const found: GivesWay[] = [];
  const take = (way: GivesWay, holds: boolean) => {
    if (holds) found.push(way);
  };
  const ml = Math.max(
    0,
    ...failed.map(({ id }) => needOf.get(byId.get(id)?.pot ?? "") ?? 0),
    ...pots.filter((pot) => kitchen.pans.every((pan) => pan.ml < pot.ml)).map((pot) => pot.ml),
  );
  if (ml > 0) take({ kind: "pan", ml }, does({ pans: [...kitchen.pans, { id: "one-more", name: "", ml }] }));
  take({ kind: "burner" }, does({ burners: kitchen.burners + 1 }));
  if (tasks.some(({ oven }) => oven)) take({ kind: "oven" }, does({ ovens: kitchen.ovens + 1 }));
  if (tasks.some(({ noisy }) => noisy)) take({ kind: "mixer" }, does({ mixers: kitchen.mixers + 1 }));
  take({ kind: "cook" }, does({ cooks: kitchen.cooks + 1 }));
  if (kitchen.fridge !== null) {
    const all = tasks.reduce((sum, { fridge }) => sum + fridge, 0);
    if (all > kitchen.fridge) take({ kind: "fridge", litres: Math.ceil((all - kitchen.fridge) * 10) / 10 }, does({ fridge: all }));
  }
  if (kitchen.quiet.length > 0) take({ kind: "quiet hours" }, does({ quiet: [] }));
  if (kitchen.nights.length > 0) take({ kind: "night" }, does({ nights: [] }));
  if (kitchen.away.length > 0) take({ kind: "away" }, does({ away: [] }));
  if (kitchen.notTasting.length > 0) take({ kind: "tasting" }, does({ notTasting: [] }));
  if (Object.keys(pinned).length > 0) take({ kind: "pins" }, isWhole({ ...problem, pinned: {} }, trying));
  const sooner = STEPS.find((minutes) => does({ from: kitchen.from - minutes }));
  if (sooner !== undefined) found.push({ kind: "sooner", minutes: sooner });
  const later = STEPS.find((minutes) => isWhole({ ...problem, sweets: sweets.map((sweet) => ({ ...sweet, due: sweet.due + minutes })) }, trying));
  if (later !== undefined) found.push({ kind: "later", minutes: later });
  return found;
}
