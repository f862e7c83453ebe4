import type { Kitchen } from "../kitchen";
import type { AdaptationProblem, Ending } from "../substitution";
import type { BenchGround } from "./bench-ground";
import { baseProblem, splitBase, type SplitBase } from "./split-base";
import { splitPlan, splitProblem, splitView, type SplitPlan, type SplitView } from "./split-view";

type Soon<T> = T | Promise<T>;
/** What is asked on the way to where a pot parts; a worker may answer it. */
export interface SplitAsks {
  readonly plan: (base: SplitBase | null) => Soon<SplitPlan | null>;
  readonly problem: (before: number, group: number, base: SplitBase | null) => Soon<AdaptationProblem | null>;
  readonly baseProblem: (before: number) => Soon<AdaptationProblem>;
  readonly base: (before: number, ending: Ending) => Soon<SplitBase | null>;
  readonly solve: (problem: AdaptationProblem) => Promise<Ending>;
  readonly view: (before: number, endings: readonly (Ending | null)[], base: SplitBase | null) => Soon<SplitView | null>;
  readonly onPlace?: (done: number, of: number) => void;
}
export interface Splits {
  /** Null where there is nothing to part. */
  readonly plan: SplitPlan | null;
  /** With the base as handed down, and with one that is changed for all; the better one first, none where it does not part anywhere. */
  readonly views: readonly SplitView[];
}

/** How a pot is split at the latest place from which on every group has a version; null where there is none. */
async function latestSplit(asks: SplitAsks, plan: SplitPlan | null, base: SplitBase | null, onPlace: () => void): Promise<SplitView | null> {
  for (const before of plan?.places ?? []) {
    onPlace();
    const endings: (Ending | null)[] = [];
    for (const group of (plan?.groups ?? []).keys()) {
      const problem = await asks.problem(before, group, base);
      endings.push(problem && (await asks.solve(problem)));
    }
    const view = await asks.view(before, endings, base);
    if (view) return view;
  }
  return null;
}

/** Minutes of double work that weigh as much as a tenth of the sweet changed for everybody (rule of thumb). */
const MINUTES_PER_TENTH = 10;
/**
 * What a split costs: what is done twice, and how much is changed for each, by the serving; smaller is better.
 * @unit tenths of a sweet changed for everybody
 * @range 0 or more
 * @source rule of thumb
 */
export function splitCost({ twice, portions }: SplitView): number {
  const servings = portions.reduce((sum, portion) => sum + portion.servings, 0);
  const changed = portions.reduce((sum, portion) => sum + portion.changed * portion.servings, 0) / Math.max(1e-9, servings);
  return twice / MINUTES_PER_TENTH + 10 * changed;
}

/** How a pot can be split: with the base as handed down, and with a base that all can eat up to a later step. */
export async function splitsOf(asks: SplitAsks): Promise<Splits> {
  const plan = await asks.plan(null);
  const of = (plan?.places.length ?? 0) + (plan?.bases.length ?? 0);
  let done = 0;
  const onPlace = () => asks.onPlace?.(done++, of);
  const views = [await latestSplit(asks, plan, null, onPlace)];
  for (const before of plan?.bases ?? []) {
    onPlace();
    const base = await asks.base(before, await asks.solve(await asks.baseProblem(before)));
    const view = base && (await latestSplit(asks, await asks.plan(base), base, () => {}));
    if (!view) continue;
    views.push(view);
    break;
  }
  return { plan, views: views.filter((view) => view !== null).sort((a, b) => splitCost(a) - splitCost(b)) };
}

/** The same, all of it in one kitchen. */
export const splitIn = (at: BenchGround, kitchen: Kitchen, solve: SplitAsks["solve"]): Promise<Splits> =>
  splitsOf({
    plan: (base) => splitPlan({ ...at, base }, kitchen),
    problem: (before, group, base) => splitProblem({ ...at, base, before, group }, kitchen),
    baseProblem: (before) => baseProblem({ ...at, before }, kitchen),
    base: (before, ending) => splitBase({ ...at, before, ending }, kitchen),
    solve,
    view: (before, endings, base) => splitView({ ...at, base, before, endings }, kitchen),
  });
