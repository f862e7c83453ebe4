import { judge } from "../models/diet";
import { build } from "./build";
import { amountsOf } from "./decode";
import type { SolverPort } from "../numeric";
import { openRoles, type Opening } from "./open-roles";
import { LIMIT_IDS, type LimitId, type Wish } from "../table";
import { goalProperty, wishWords } from "./wishes";
import type { AdaptationProblem } from "./problem";
import type { Run } from "./run";
import type { Targets } from "./targets";
import { concernsAllergy } from "./verdict";

/** A rule that asks about a food, in few words, and why. */
export interface AskingRule {
  readonly rule: string;
  readonly short: string;
  readonly reason: string;
  readonly isAllergy: boolean;
}

/** One limit or rule that stands in the way: what was given, and what it would have to become. */
export type ClashingLimit =
  /** Per serving, in the limit's unit; needed is the least it could be with everything else as it is. */
  | { readonly kind: "limit"; readonly limit: LimitId; readonly given: number; readonly needed: number }
  /** A food that a rule asks about: with it a version fits. `limit` is its name. */
  | {
      readonly kind: "food";
      readonly limit: string;
      readonly food: string;
      readonly asks: readonly AskingRule[];
      readonly given: "ask";
      readonly needed: "allow";
    }
  /** A wish of the maker's; `limit` says it in words. */
  | { readonly kind: "wish"; readonly limit: string; readonly wish: Wish; readonly given: "asked"; readonly needed: "let go" }
  /** How sweet it is: with less of it a version fits. As sugar, g per 100 g, served as at the table; `wish` asks for it. */
  | { readonly kind: "sweetness"; readonly limit: "sweetness"; readonly wish: Wish; readonly given: number; readonly needed: number }
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
  const wishes = await wishesInTheWay(problem, targets, run, solve);
  const lessSweet = await sweetnessThatFits(problem, opening, targets, run, solve);
  if (real.length + wishes.length + lessSweet.length > 0) return { relation: "any", clashes: [...wishes, ...lessSweet, ...real] };

  // No single limit is enough: relax all but keep each as low as it can be in turn.
  const together: ClashingLimit[] = [];
  const without = new Set<LimitId>(LIMIT_IDS);
  for (const limit of problem.limits) {
    const needed = await leastOf(problem, opening, targets, { ...run, minimised: limit, without, cuts: [] }, solve);
    if (needed !== null && needed > limit.most) together.push({ kind: "limit", limit: limit.id, given: limit.most, needed: roundUp(needed) });
  }
  if (together.length > 0) return { relation: "all", clashes: together };

  // Neither limits nor one wish: all wishes together.
  if (problem.wishes.length > 1 && (await isSolved({ ...problem, wishes: [] }, targets, run, solve)))
    return { relation: "all", clashes: problem.wishes.map((wish) => wishClash(wish, problem)) };

  const rules: ClashingLimit[] = [];
  for (const rule of problem.rules) {
    const eased: AdaptationProblem = { ...problem, rules: problem.rules.filter((each) => each.id !== rule.id) };
    if (await isSolved(eased, targets, run, solve)) rules.push({ kind: "rule", limit: rule.id, given: "avoid", needed: "allow" });
  }
  return rules.length > 0
    ? { relation: "any", clashes: rules }
    : { relation: "all", clashes: problem.rules.map((rule) => ({ kind: "rule", limit: rule.id, given: "avoid", needed: "allow" })) };
}

/** Shares of the recipe's sweetness that are tried, where as sweet as that none fits. */
const LESS_SWEET = [0.7, 0.55, 0.4];

/** The most of its sweetness with which a version fits, where the maker has asked nothing of it; none where it is not that. */
async function sweetnessThatFits(
  problem: AdaptationProblem,
  opening: Opening,
  targets: Targets,
  run: Run,
  solve: SolverPort,
): Promise<readonly ClashingLimit[]> {
  const own = opening.recipeFigures[goalProperty("sweetness", problem)].value;
  if (!opening.opened.has("sweetener") || problem.wishes.some((wish) => wish.kind === "goal" && wish.goal === "sweetness") || own <= 0) return [];
  for (const share of LESS_SWEET) {
    const needed = Math.round(share * own * 10) / 10;
    const wish: Wish = { kind: "goal", goal: "sweetness", aim: "at most", value: needed };
    if (await isSolved({ ...problem, wishes: [...problem.wishes, wish] }, targets, run, solve))
      return [{ kind: "sweetness", limit: "sweetness", wish, given: Math.round(own * 10) / 10, needed }];
  }
  return [];
}

const wishClash = (wish: Wish, problem: AdaptationProblem): ClashingLimit => ({
  kind: "wish",
  limit: wishWords(wish, problem),
  wish,
  given: "asked",
  needed: "let go",
});

/** So many wishes are tried, one by one. */
const MOST_TRIED = 12;

/** The wishes of which letting go of one alone is enough. */
async function wishesInTheWay(problem: AdaptationProblem, targets: Targets, run: Run, solve: SolverPort): Promise<readonly ClashingLimit[]> {
  const found: ClashingLimit[] = [];
  for (const wish of problem.wishes.slice(0, MOST_TRIED))
    if (await isSolved({ ...problem, wishes: problem.wishes.filter((each) => each !== wish) }, targets, run, solve)) found.push(wishClash(wish, problem));
  return found;
}

async function isSolved(problem: AdaptationProblem, targets: Targets, run: Run, solve: SolverPort): Promise<boolean> {
  const outcome = await solve(build(problem, openRoles(problem), targets, { ...run, cuts: [] }).model, OPTIONS);
  return outcome.kind === "optimal";
}

/** The fewest foods that rules ask about with which a version fits; empty where none does. */
async function askedFoods(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run, solve: SolverPort): Promise<readonly ClashingLimit[]> {
  const open: AdaptationProblem = { ...problem, takesAsked: true };
  const built = build(open, opening, targets, { ...run, noveltyWeight: 3, cuts: [] });
  const outcome = await solve(built.model, OPTIONS);
  if (outcome.kind !== "optimal") return [];
  return amountsOf(built, outcome.values).flatMap(({ slot: { food, source } }): ClashingLimit[] => {
    const asks = problem.rules.flatMap((rule): AskingRule[] => {
      const { verdict, reason } = judge(food, rule);
      return verdict === "ask" ? [{ rule: rule.id, short: rule.short, reason, isAllergy: concernsAllergy(rule) }] : [];
    });
    return source !== null || asks.length === 0 ? [] : [{ kind: "food", limit: food.name, food: food.id, asks, given: "ask", needed: "allow" }];
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
