import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { planBounds, followersOf, type PlanBounds } from "./bounds";
import { claimsOf } from "./claims";
import { layTasks, type Laid } from "./place";
import type { PlanProblem, PlanTask } from "./task";

/** How good a plan is: what counts first stands first, less is better. */
export interface PlanScore {
  readonly failed: number;
  /** Minutes with two things in hand. */
  readonly twoInHand: number;
  /** Minutes that sweets stand longer than is best for them. */
  readonly stale: number;
  /** Minutes from when it begins until all is due. */
  readonly length: number;
  /** Blocks of work with hands: fewer are tidier. */
  readonly blocks: number;
}

export interface SolvedPlan {
  readonly laid: Laid;
  readonly score: PlanScore;
  readonly bounds: PlanBounds;
  readonly rounds: number;
}

interface SolveOptions {
  readonly seed: number;
  /** So many orders are tried. */
  readonly rounds: number;
  /** Asked before each: false ends it with the best so far. */
  readonly goOn: (done: number) => boolean;
}

const asVector = ({ failed, twoInHand, stale, length, blocks }: PlanScore): readonly number[] => [failed, twoInHand, stale, length, blocks];
/** Whether one plan is better than another, in the order of what counts. */
export function isBetter(one: PlanScore, other: PlanScore): boolean {
  const [a, b] = [asVector(one), asVector(other)];
  const at = a.findIndex((each, i) => Math.abs(each - (b[i] ?? 0)) > 1e-9);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
}

/** How good tasks are laid. */
export function scoreOf({ placed, failed }: Laid, { tasks, sweets, kitchen }: PlanProblem): PlanScore {
  const byId = new Map(tasks.map((task) => [task.id, claimsOf(task)] as const));
  const spans = (of: "hands" | "attention") =>
    placed.flatMap(({ id, start }) => (byId.get(id) ?? []).flatMap((claim) => (claim.of === of ? [{ start: start + claim.from, end: start + claim.to }] : [])));
  const attended = spans("attention");
  const borders = [...new Set(attended.flatMap(({ start, end }) => [start, end]))].toSorted((a, b) => a - b);
  let twoInHand = 0;
  for (const [i, from] of borders.slice(0, -1).entries()) {
    const to = borders[i + 1] ?? from;
    const going = attended.filter(({ start, end }) => start <= from && end > from).length;
    twoInHand += Math.max(0, going - kitchen.cooks) * (to - from);
  }
  const hands = spans("hands").toSorted((a, b) => a.start - b.start);
  let [blocks, until] = [0, -Infinity];
  for (const { start, end } of hands) {
    if (start > until) blocks++;
    until = Math.max(until, end);
  }
  const due = Math.max(0, ...sweets.map((sweet) => sweet.due));
  return {
    failed: failed.length,
    twoInHand,
    stale: staleOf({ tasks, sweets }, placed),
    length: due - Math.min(due, ...placed.map(({ start }) => start)),
    blocks,
  };
}

/** Minutes that sweets stand longer than is best for them, from the end of the last of each. */
function staleOf({ tasks, sweets }: Pick<PlanProblem, "tasks" | "sweets">, placed: Laid["placed"]): number {
  const sweetOf = new Map(tasks.map(({ id, sweet }) => [id, sweet] as const));
  return sweets.reduce((sum, { id, due, best }) => {
    const ends = placed.flatMap((row) => (sweetOf.get(row.id) === id ? [row.end] : []));
    return best === null || ends.length === 0 ? sum : sum + Math.max(0, due - Math.max(...ends) - best);
  }, 0);
}

/** So often an order is laid again with what follows begun sooner. */
const REPAIRS = 6;
/** How much one order differs from the best so far: most tasks stay. */
const CHANGED = 0.25;

/**
 * A plan by tries in the order in which tasks are laid: first what has the longest way before it, then the best so far with some tasks moved. The same for the
 * same seed and as many tries.
 */
export function solvePlan(problem: PlanProblem, { seed, rounds, goOn }: SolveOptions): SolvedPlan {
  const { tasks } = problem;
  const bounds = planBounds(problem);
  const rng = xoroshiro128plus(seed);
  const chance = () => uniformFloat64(rng);
  const heads = headsOf(tasks);
  const most = Math.max(1, ...heads.values());
  let keys = new Map(tasks.map(({ id }) => [id, (heads.get(id) ?? 0) / most] as const));
  const lay = (by: ReadonlyMap<string, number>) => {
    const priority = (id: string) => by.get(id) ?? 0;
    let tried = layTasks(problem, priority);
    let found = { laid: tried, score: scoreOf(tried, problem) };
    // What found no place because what follows it came too late is given one by beginning that sooner.
    const latest = new Map<string, number>();
    for (let i = 0; i < REPAIRS; i++) {
      const sooner = tried.failed.flatMap((each) => each.sooner).filter(([id, most]) => most < (latest.get(id) ?? Infinity));
      if (sooner.length === 0) break;
      for (const [id, most] of sooner) latest.set(id, Math.min(most, latest.get(id) ?? Infinity));
      tried = layTasks(problem, priority, latest);
      const score = scoreOf(tried, problem);
      if (isBetter(score, found.score)) found = { laid: tried, score };
    }
    return found;
  };
  let best = lay(keys);
  let done = 1;
  for (; done < rounds && goOn(done); done++) {
    // Nothing is better than all laid, with one thing in hand, as late as can be.
    if (best.score.failed === 0 && best.score.twoInHand === 0 && best.score.stale === 0 && best.score.length <= -bounds.latestStart + 1e-9) break;
    const changed = new Map([...keys].map(([id, key]) => [id, chance() < CHANGED ? chance() : key] as const));
    const tried = lay(changed);
    if (!isBetter(best.score, tried.score)) {
      if (isBetter(tried.score, best.score)) best = tried;
      keys = changed;
    }
  }
  return { laid: best.laid, score: best.score, bounds, rounds: done };
}

/** Minutes of the longest way to a task and through it. */
function headsOf(tasks: readonly PlanTask[]): ReadonlyMap<string, number> {
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  const heads = new Map<string, number>();
  const headOf = (id: string): number => {
    const known = heads.get(id);
    const task = byId.get(id);
    if (known !== undefined || !task) return known ?? 0;
    heads.set(id, task.minutes);
    const head = task.minutes + Math.max(0, ...task.after.map(headOf));
    heads.set(id, head);
    return head;
  };
  for (const { id } of tasks) headOf(id);
  return heads;
}

/** Whether tasks wait for each other in a circle, or for what there is not; which, by id. */
export function orderProblem(tasks: readonly PlanTask[]): { readonly id: string; readonly kind: "circle" | "not there" } | null {
  const ids = new Set(tasks.map(({ id }) => id));
  const strange = tasks.find(({ after }) => after.some((each) => !ids.has(each)));
  if (strange) return { id: strange.id, kind: "not there" };
  const followers = followersOf(tasks);
  const waiting = new Map(tasks.map(({ id, after }) => [id, new Set(after).size] as const));
  const ready = tasks.flatMap(({ id }) => (waiting.get(id) === 0 ? [id] : []));
  let done = 0;
  for (let id = ready.pop(); id !== undefined; id = ready.pop()) {
    done++;
    for (const each of new Set(followers.get(id)?.map((task) => task.id))) {
      const left = (waiting.get(each) ?? 0) - 1;
      waiting.set(each, left);
      if (left === 0) ready.push(each);
    }
  }
  const stuck = tasks.find(({ id }) => (waiting.get(id) ?? 0) > 0);
  return done === tasks.length || !stuck ? null : { id: stuck.id, kind: "circle" };
}
