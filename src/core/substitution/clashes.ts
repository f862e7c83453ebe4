import { judge } from "../models/diet";
import { build } from "./build";
import { amountsOf } from "./decode";
import type { SolverPort } from "./model";
import { openRoles, type Opening } from "./open-roles";
import { LIMIT_IDS, type LimitId } from "../table";
import type { AdaptationProblem } from "./problem";
import type { Run } from "./run";
import type { Targets } from "./targets";

/** One limit or rule that stands in the way: what was given, and what it would have to become. */
export type ClashingLimit =
  /** Per serving, in the limit's unit; needed is the least it could be with everything else as it is. */
  | { readonly kind: "limit"; readonly limit: LimitId; readonly given: number; readonly needed: number }
  /** A food that a rule asks about: with it a version fits. `limit` is its name, `rules` those that ask, in few words. */
  | { readonly kind: "food"; readonly limit: string; readonly food: string; readonly rules: readonly string[]; readonly given: "ask"; readonly needed: "allow" }
  | { readonly kind: "rule"; readonly limit: string; readonly given: "avoid"; readonly needed: "allow" };

export interface Clashes {
  /** any: easing one of them is enough; all: each has to be eased. */
  readonly relation: "any" | "all";
  readonly clashes: readonly ClashingLimit[];
}

const OPTIONS = { timeLimitSeconds: 5, relativeGap: 0.005 };

/**
 * The smallest set of limits that clash, found by relaxing each: first foods that rules only ask about, then one limit alone (how low it can get with the
 * others kept), then all limits together, then each rule alone.
 */
export async function findClashes(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run, solve: SolverPort): Promise<Clashes> {
  const asked = await askedFoods(problem, opening, targets, run, solve);
  if (asked.length > 0) return { relation: "all", clashes: asked };
  const alone = [];
  for (const limit of problem.limits) {
    const needed = await leastOf(problem, opening, targets, { ...run, minimised: limit, cuts: [] }, solve);
    if (needed !== null) alone.push({ kind: "limit" as const, limit: limit.id, given: limit.most, needed: roundUp(needed) });
  }
  const real = alone.filter((clash) => clash.needed > clash.given);
  if (real.length > 0) return { relation: "any", clashes: real };

  // No single limit is enough: relax all but keep each as low as it can be in turn.
  const together: ClashingLimit[] = [];
  const without = new Set<LimitId>(LIMIT_IDS);
  for (const limit of problem.limits) {
    const needed = await leastOf(problem, opening, targets, { ...run, minimised: limit, without, cuts: [] }, solve);
    if (needed !== null && needed > limit.most) together.push({ kind: "limit", limit: limit.id, given: limit.most, needed: roundUp(needed) });
  }
  if (together.length > 0) return { relation: "all", clashes: together };

  const rules: ClashingLimit[] = [];
  for (const rule of problem.rules) {
    const eased: AdaptationProblem = { ...problem, rules: problem.rules.filter((each) => each.id !== rule.id) };
    const outcome = await solve(build(eased, openRoles(eased), targets, { ...run, cuts: [] }).model, OPTIONS);
    if (outcome.kind === "optimal") rules.push({ kind: "rule", limit: rule.id, given: "avoid", needed: "allow" });
  }
  return rules.length > 0
    ? { relation: "any", clashes: rules }
    : { relation: "all", clashes: problem.rules.map((rule) => ({ kind: "rule", limit: rule.id, given: "avoid", needed: "allow" })) };
}

/** The fewest foods that rules ask about with which a version fits; empty where none does. */
async function askedFoods(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run, solve: SolverPort): Promise<readonly ClashingLimit[]> {
  const open: AdaptationProblem = { ...problem, takesAsked: true };
  const built = build(open, opening, targets, { ...run, noveltyWeight: 3, cuts: [] });
  const outcome = await solve(built.model, OPTIONS);
  if (outcome.kind !== "optimal") return [];
  return amountsOf(built, outcome.values).flatMap(({ slot: { food, source } }): ClashingLimit[] => {
    const rules = problem.rules.filter((rule) => judge(food, rule).verdict === "ask").map(({ short }) => short);
    return source !== null || rules.length === 0 ? [] : [{ kind: "food", limit: food.name, food: food.id, rules, given: "ask", needed: "allow" }];
  });
}

async function leastOf(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run, solve: SolverPort): Promise<number | null> {
  const built = build(problem, opening, targets, run);
  const outcome = await solve(built.model, OPTIONS);
  if (outcome.kind !== "optimal") return null;
  const column = built.model.columns.findIndex(({ name }) => name === "minimised");
  return (outcome.values[column] ?? 0) / problem.servings;
}

/** Up to the next figure one would set: tenths below 10, whole below 100, else tens. */
function roundUp(value: number): number {
  const step = value < 10 ? 0.1 : value < 100 ? 1 : 10;
  return Math.round(Math.ceil(value / step - 1e-6) * step * 10) / 10;
}
