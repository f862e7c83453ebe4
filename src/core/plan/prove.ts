import type { LinearModel, SolverPort } from "../numeric";
import { planBounds, type PlanBounds } from "./bounds";
import { layTasks, type Laid } from "./place";
import { isBetter, scoreOf } from "./solve";
import { HALF, startModel, type Found } from "./start-model";
import type { PlacedTask, PlanMinute, PlanProblem, PlanTask } from "./task";

/** What is asked for a proof at the most: more takes longer than anybody waits. */
const MOST_PROVEN = { sweets: 4, tasks: 50 } as const;

/** How late a plan can begin, as far as it is proven. */
export interface Proven {
  /** A better plan that was found on the way; null where there was none. */
  readonly laid: Laid | null;
  /** No whole plan that has as little in two hands and stands as little begins later. */
  readonly latestStart: PlanMinute;
}

/** Times for it in all, seconds. */
interface ProofOptions {
  readonly seconds: number;
  /** Now, seconds; from whenever. */
  readonly clock: () => number;
}

/** Whether a plan can be asked about: it is whole, and not too large. */
export const canProve = ({ tasks, sweets }: PlanProblem, placed: readonly PlacedTask[]): boolean =>
  tasks.length > 0 && tasks.length <= MOST_PROVEN.tasks && sweets.length <= MOST_PROVEN.sweets && isWhole(tasks, placed);
const isWhole = (tasks: readonly PlanTask[], placed: readonly PlacedTask[]): boolean => {
  const there = new Set(placed.map(({ id }) => id));
  return tasks.every(({ id }) => there.has(id));
};

/**
 * How late a whole plan can begin, by mixed-integer programming: each pair of tasks that cannot go on at once is ordered by a binary (disjunctive formulation,
 * Manne 1960), hours that are shut are passed by one. What three or more take together, and pans, are left out, so that what it tells is a bound; a solution of
 * which it says that it begins later is laid with all of it, and is taken where it does.
 */
export async function provePlan(problem: PlanProblem, placed: readonly PlacedTask[], solve: SolverPort, { seconds, clock }: ProofOptions): Promise<Proven> {
  const bounds = planBounds(problem);
  let best = asFound(problem, { placed, failed: [] }, bounds);
  if (!isWhole(problem.tasks, placed)) return { laid: null, latestStart: bounds.latestStart };
  const end = clock() + seconds;
  let latest = Math.max(bounds.latestStart, best.begin);
  let isBetterFound = false;
  // Later by a minute at least, or proven that none is.
  for (let tries = 0; tries < TRIES && best.begin < latest - HALF; tries++) {
    const left = end - clock();
    if (left <= 0) break;
    const { model, starts } = startModel(problem, best, latest);
    const outcome = model === null ? NONE : await solve(model, { timeLimitSeconds: left, relativeGap: 0 });
    if (outcome.kind === "infeasible") latest = best.begin;
    if (model === null || outcome.kind === "infeasible" || outcome.kind === "failed") break;
    const bound = outcome.kind === "optimal" ? outcome.objective : outcome.bound;
    if (Number.isFinite(bound)) latest = Math.min(latest, Math.floor(-bound + HALF));
    const told = outcome.kind === "optimal" ? outcome : outcome.incumbent;
    const laid = told && (await laidLate(problem, { model, starts, values: told.values }, solve));
    const later = laid && asFound(problem, laid, bounds);
    if (!later || !isBetter(later.score, best.score)) break;
    best = later;
    isBetterFound = true;
  }
  return { laid: isBetterFound ? best.laid : null, latestStart: Math.max(latest, best.begin) };
}

const NONE = { kind: "infeasible" } as const;
const asFound = (problem: PlanProblem, laid: Laid, bounds: PlanBounds): Found => ({
  laid,
  score: scoreOf(laid, problem),
  begin: Math.min(...laid.placed.map(({ start }) => start)),
  bounds,
});

const TRIES = 8;

interface Told {
  readonly model: LinearModel;
  readonly starts: ReadonlyMap<string, number>;
  readonly values: Float64Array;
}
/** A solution laid with all that a kitchen has: its order kept, each task moved as late as that bears; else its order laid anew. */
async function laidLate(problem: PlanProblem, { model, starts, values }: Told, solve: SolverPort): Promise<Laid> {
  const isStart = new Set(starts.values());
  const kept: LinearModel = {
    rows: model.rows,
    columns: model.columns.map((column, i) => {
      const value = values[i] ?? 0;
      const whole = Math.round(value);
      return isStart.has(i) ? { ...column, cost: -1 } : column.integer ? { ...column, lower: whole, upper: whole, integer: false } : { ...column, cost: 0 };
    }),
  };
  const start = kept.columns[0];
  const first = Math.round(values[0] ?? 0);
  const moved = await solve({ ...kept, columns: start ? [{ ...start, lower: first }, ...kept.columns.slice(1)] : [] }, { timeLimitSeconds: 5, relativeGap: 0 });
  const at = moved.kind === "optimal" ? moved.values : values;
  const startOf = (id: string) => Math.round(at[starts.get(id) ?? -1] ?? 0);
  const minutes = new Map(problem.tasks.map((task) => [task.id, task.minutes] as const));
  // Laid backwards, what ends last goes first.
  const byEnd = (id: string) => startOf(id) + (minutes.get(id) ?? 0);
  const just = layTasks({ ...problem, pinned: Object.fromEntries(problem.tasks.map(({ id }) => [id, startOf(id)])) }, byEnd);
  return just.failed.length === 0 ? just : layTasks(problem, byEnd);
}
