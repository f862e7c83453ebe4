import { evaluatePoint } from "../evaluate";
import { limitPerGram } from "./coefficients";
import { limitProperty, openRoles } from "./open-roles";
import type { AdaptationProblem, SourceLine } from "./problem";
import { endsAtOnce, type Ending } from "./propose";
import type { Version } from "./version";

/** How a recipe stands to a table before anything is solved. */
export type Suit =
  /** Nothing that is known has to change. */
  | { readonly kind: "fits" }
  /** Foods have to change: so much at the least, as a share of what goes in, and for what. */
  | { readonly kind: "to adapt"; readonly least: number; readonly leaving: readonly string[]; readonly over: readonly LimitPassed[] }
  | { readonly kind: "cannot tell"; readonly questions: readonly string[] }
  /** No exchange of foods mends it, or no figure of ours tells whether what comes of it holds. */
  | { readonly kind: "by hand"; readonly why: string };

/** A limit that the recipe passes, with what a serving comes to. */
export interface LimitPassed {
  readonly limit: AdaptationProblem["limits"][number];
  readonly value: number;
}

/** How a recipe stands to a table, told without a solver. */
export function suitOf(problem: AdaptationProblem): Suit {
  const ending = endsAtOnce(problem);
  switch (ending?.kind) {
    case "nothing-to-change":
      return { kind: "fits" };
    case "cannot-tell":
      return { kind: "cannot tell", questions: ending.questions.map(({ text }) => text) };
    case "change-by-hand":
      return { kind: "by hand", why: ending.breaches.map(({ reason }) => reason).join("; ") };
    case "failed":
      return { kind: "by hand", why: ending.why };
  }
  const { opening, figures } = openedFor(problem);
  return {
    kind: "to adapt",
    least: leastChange(problem),
    leaving: problem.lines.flatMap(({ id, food }) => (opening.banned.has(id) ? [food.name] : [])),
    over: opening.passed.map((limit) => ({ limit, value: figures[limitProperty(limit)].value })),
  };
}

const openedFor = (problem: AdaptationProblem) => ({ opening: openRoles(problem), figures: evaluatePoint(problem, problem.reference.constants) });

/** What counts as change: all that goes in but water, and what the writer calls optional. */
const counted = ({ lines }: Pick<AdaptationProblem, "lines">): readonly SourceLine[] => lines.filter(({ food, optional }) => food.id !== "water" && !optional);
const massOf = (lines: readonly SourceLine[]): number => lines.reduce((sum, { grams }) => sum + grams, 0);

/**
 * The least that has to leave a recipe for a table, of what goes in: what rules avoid, and of the rest as much as a passed
 * limit asks for, were it all of the food that gives most a gram. No version changes less.
 * @unit share
 * @range 0 to 1
 * @source a lower bound of the rows of the programme
 */
export function leastChange(problem: AdaptationProblem): number {
  const { banned } = openRoles(problem);
  const lines = counted(problem);
  const gone = lines.filter(({ id }) => banned.has(id));
  const stays = problem.lines.filter(({ id }) => !banned.has(id));
  const forLimits = problem.limits.map((limit) => {
    const per = (line: SourceLine) => limitPerGram({ food: line.food, source: line }, limit, problem);
    // Water and optional lines leave for nothing.
    const held = stays.reduce((sum, line) => sum + (lines.includes(line) ? line.grams * per(line) : 0), 0);
    const most = Math.max(0, ...stays.map(per));
    return most > 0 ? Math.max(0, held - limit.most * problem.servings * LIMIT_SLACK) / most : 0;
  });
  const all = massOf(lines);
  return all > 0 ? Math.min(1, (massOf(gone) + Math.max(0, ...forLimits)) / all) : 0;
}
/** As close to a limit as a version may stand. */
const LIMIT_SLACK = 1.001;

/**
 * How much of what goes into a recipe leaves it in a version.
 * @unit share
 * @range 0 to 1
 * @source counted by mass, water and optional lines apart
 */
export function changedShare({ rows }: Version, problem: AdaptationProblem): number {
  const lines = counted(problem);
  const left = lines.reduce((sum, line) => {
    const kept = rows.reduce((grams, row) => grams + (row.line === line.id && row.food?.id === line.food.id ? row.grams : 0), 0);
    return sum + Math.max(0, line.grams - kept);
  }, 0);
  const all = massOf(lines);
  return all > 0 ? left / all : 0;
}

/** Why a search ended without a version, in a few words; null where it ended in some. */
export function whyNone(ending: Ending, ruleName: (id: string) => string): string | null {
  switch (ending.kind) {
    case "proposals":
    case "nothing-to-change":
      return null;
    case "cannot-tell":
      return "It cannot be told yet whether it fits.";
    case "change-by-hand":
      return ending.breaches.map(({ reason }) => reason).join("; ");
    case "failed":
      return ending.why;
    case "time-ran-out":
      return "No version was found in the time there was.";
    case "no-version-fits": {
      const foods = ending.clashes.flatMap((clash) => (clash.kind === "food" ? [clash.limit.toLowerCase()] : []));
      if (foods.length > 0) return `One fits if this house takes ${foods.join(" and ")}.`;
      const limits = ending.clashes.flatMap((clash) => (clash.kind === "limit" ? [`${clash.needed} instead of ${clash.given}`] : []));
      if (limits.length > 0) return `No version fits; a limit would have to be ${limits.join(ending.relation === "any" ? " or " : " and ")}.`;
      const [sweet] = ending.clashes.flatMap((clash) => (clash.kind === "sweetness" ? [`${clash.needed} g as sugar per 100 g instead of ${clash.given}`] : []));
      if (sweet) return `One fits if it may be less sweet: ${sweet}.`;
      return `Nothing that this table eats takes the place of what leaves (${ending.clashes.map(({ limit }) => ruleName(limit)).join(", ")}).`;
    }
  }
}
