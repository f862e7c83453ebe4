import { bodyHolds, evaluate, type KeptFigures } from "../evaluate";
import type { Limit } from "../table";
import { isDistinct } from "./alternatives";
import { build } from "./build";
import { cooledState } from "./cooled";
import { amountsOf, decode } from "./decode";
import type { SolverPort } from "../numeric";
import { limitProperty, openRoles } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import { endsAtOnce, proposalOf, roundedEvaporation, type Progress } from "./propose";
import type { Proposal } from "./proposal";
import { roundAmounts } from "./round";
import { plainRun } from "./run";
import { ISOLATES } from "./slots";
import { targetsOf } from "./targets";

/** One version between what is as sweet as the recipe and what holds little free sugar. */
export interface TradeOffPoint {
  readonly proposal: Proposal;
  /** As sugar, served as at this table; g per 100 g. */
  readonly sweetness: number;
  /** g a serving, in the school of the table's limit. */
  readonly freeSugars: number;
  /** What it holds beside foods of a kitchen, by name. */
  readonly isolates: readonly string[];
  /** How far it is from the recipe on the tongue, in steps that are just noticed: `distance`. */
  readonly distance: number;
}

export interface TradeOff {
  /** By free sugars, the least first. */
  readonly points: readonly TradeOffPoint[];
  /** Of the recipe itself. */
  readonly recipe: Pick<TradeOffPoint, "sweetness" | "freeSugars">;
}

/** Shares of the recipe's sweetness and of its free sugars that are tried with each other: with foods of a kitchen alone, then with isolates too. */
const OF_FOODS = [
  [1, 1],
  [1, 0.75],
  [0.88, 0.88],
  [0.88, 0.6],
  [0.76, 0.76],
  [0.76, 0.5],
  [0.64, 0.64],
  [0.64, 0.35],
  [0.5, 0.5],
  [0.5, 0.25],
] as const;
const WITH_ISOLATES = [
  [1, 0.7],
  [1, 0.45],
  [1, 0.2],
  [0.82, 0.6],
  [0.82, 0.35],
  [0.82, 0.15],
] as const;
const SOLVE = { timeLimitSeconds: 2, relativeGap: 0.03 };

/**
 * How far a version is from the recipe on the tongue: the root mean square of sweetness, body and richness, each in
 * steps that are just noticed.
 * @unit steps that are just noticed
 * @range 0 or more; below 1 most would not notice
 * @source Weber fraction of sweetness; the others and their mean are rules of thumb
 */
export function distance(recipe: KeptFigures, version: KeptFigures, problem: AdaptationProblem): number {
  const { sweetness, body, richness, richnessFloor } = problem.reference.constants.noticeable.value;
  const [sweet, thick] = [`sweetness.${problem.serve}`, `body.${cooledState(problem)}`] as const;
  const steps = [
    (version[sweet].value - recipe[sweet].value) / Math.max(1e-9, sweetness * recipe[sweet].value),
    // A bound sweet holds by what binds it: how a spoon finds it says nothing there.
    ...(bodyHolds(recipe) || bodyHolds(version) ? [(version[thick].value - recipe[thick].value) / body] : []),
    (version.richness.value - recipe.richness.value) / Math.max(richness * recipe.richness.value, richnessFloor),
  ];
  return Math.sqrt(steps.reduce((sum, step) => sum + step * step, 0) / steps.length);
}

/**
 * Versions over sweetness and free sugars: each pair of levels solved and rounded like any version, within the rules and
 * limits of the table. What comes out twice is told once; what another has less of at no greater distance is left out.
 */
export async function tradeOff(problem: AdaptationProblem, solve: SolverPort, onProgress: (progress: Progress) => void = () => undefined): Promise<TradeOff> {
  const own = evaluate(problem, problem.reference.constants).figures;
  const set = problem.limits.find(({ id }) => id === "freeSugars");
  const limit: Limit = set ?? { id: "freeSugars", most: Infinity, school: "uk" };
  const sugarsOf = (figures: KeptFigures) => figures[limitProperty(limit)].value;
  const sweetOf = (figures: KeptFigures) => figures[`sweetness.${problem.serve}`].value;
  const recipe = { sweetness: sweetOf(own), freeSugars: sugarsOf(own) };
  const points: TradeOffPoint[] = [];
  const ends = endsAtOnce(problem);
  if (ends && ends.kind !== "nothing-to-change") return { points, recipe };

  const levels = [OF_FOODS, ...(problem.children ? [] : [WITH_ISOLATES])].flatMap((pairs, i) =>
    pairs.map(([sweetness, share]) => ({ sweetness, most: Math.min(limit.most, share * recipe.freeSugars), foodsAlone: i === 0 })),
  );
  for (const [done, { sweetness, most, foodsAlone }] of levels.entries()) {
    onProgress({ done, of: levels.length, doing: `Sweetness at ${Math.round(100 * sweetness)} %, free sugars at most ${most.toFixed(1)} g` });
    const at: AdaptationProblem = {
      ...problem,
      children: problem.children || foodsAlone,
      limits: [...problem.limits.filter(({ id }) => id !== "freeSugars"), { ...limit, most }],
      wishes: [
        ...problem.wishes.filter((wish) => wish.kind !== "goal" || wish.goal !== "sweetness"),
        ...(sweetness < 1 ? [{ kind: "goal" as const, goal: "sweetness" as const, aim: "at most" as const, value: sweetness * recipe.sweetness }] : []),
      ],
    };
    const proposal = await oneVersion(at, problem, solve);
    if (!proposal || points.some((point) => !isDistinct(point.proposal, proposal, problem))) continue;
    const isolates = proposal.version.rows.flatMap(({ food, grams }) => (food && grams > 0 && ISOLATES.includes(food.id) ? [food.name] : []));
    points.push({
      proposal,
      isolates,
      sweetness: sweetOf(proposal.figures),
      freeSugars: sugarsOf(proposal.figures),
      distance: distance(own, proposal.figures, problem),
    });
  }
  const isBeaten = (point: TradeOffPoint) =>
    points.some(
      (other) =>
        other !== point &&
        other.isolates.length <= point.isolates.length &&
        other.freeSugars <= point.freeSugars - 0.05 &&
        other.distance <= point.distance &&
        other.sweetness >= point.sweetness,
    );
  return { points: points.filter((point) => !isBeaten(point)).sort((a, b) => a.freeSugars - b.freeSugars), recipe };
}

/** The closest version under the levels, as a proposal for the table itself; null where none is found. */
async function oneVersion(at: AdaptationProblem, table: AdaptationProblem, solve: SolverPort): Promise<Proposal | null> {
  const opening = openRoles(at);
  const targets = targetsOf(at);
  const run = plainRun(targets.proteinRatio);
  const built = build(at, opening, targets, run);
  const outcome = await solve(built.model, SOLVE);
  const solution = outcome.kind === "optimal" ? outcome : outcome.kind === "time ran out" ? outcome.incumbent : null;
  if (!solution) return null;
  const used = new Set(amountsOf(built, solution.values).map(({ slot }) => slot.key));
  const { amounts, evaporation } = await roundAmounts(at, opening, targets, run, used, { built, values: solution.values }, solve);
  const version = decode(at, opening, amounts, roundedEvaporation(evaporation));
  const solver: Proposal["solver"] = {
    status: outcome.kind === "optimal" ? "optimal" : "best so far",
    gap: "gap" in outcome ? outcome.gap : 0,
    milliseconds: 0,
  };
  // Within the levels it was solved for, and told for the table as it is.
  return (
    proposalOf(at, version, "Another way", "Another way", solver, opening.recipeFigures) &&
    proposalOf(table, version, "Another way", "Another way", solver, opening.recipeFigures)
  );
}
