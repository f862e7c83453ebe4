import { evaluate, type Figures } from "../evaluate";
import type { LineId } from "../recipe";
import { beamReadings } from "./beams";
import { build } from "./build";
import { findClashes, type Clashes } from "./clashes";
import { amountsOf, decode, type Amount } from "./decode";
import type { SolverPort } from "../numeric";
import { versionNotes } from "./notes";
import { limitProperty, openRoles } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import { roundAmounts } from "./round";
import { plainRun, type Run } from "./run";
import { targetsOf } from "./targets";
import { leadUnread, standingOf, type Breach, type Question } from "./verdict";
import { isDistinct, labelled, reasonOf, withAlternative } from "./alternatives";
import type { Proposal, ProposalPlan } from "./proposal";
import { isTooDear, missedGoals, wishClashes } from "./wishes";
import { versionInput, type Version, type VersionRow } from "./version";

/** Every ending of a search for versions. */
export type Ending =
  | { readonly kind: "proposals"; readonly proposals: readonly Proposal[]; readonly recipeFigures: Figures }
  /** Every line and step is read and allowed, and every limit's upper bound is inside. */
  | { readonly kind: "nothing-to-change"; readonly recipeFigures: Figures }
  /** Nothing is known to break, and not enough is known to say that it fits; or what leads the sweet is unread. */
  | { readonly kind: "cannot-tell"; readonly questions: readonly Question[]; readonly recipeFigures: Figures }
  /** What breaks a rule stands in a step, or beside a line: no exchange of lines mends it. */
  | { readonly kind: "change-by-hand"; readonly breaches: readonly Breach[]; readonly questions: readonly Question[]; readonly recipeFigures: Figures }
  | ({ readonly kind: "no-version-fits"; readonly recipeFigures: Figures } & Clashes)
  | { readonly kind: "time-ran-out"; readonly recipeFigures: Figures }
  | { readonly kind: "failed"; readonly why: string; readonly recipeFigures: Figures };

export interface Progress {
  readonly done: number;
  readonly of: number;
  readonly doing: string;
}

/** Further than this from the best in the objective, a version is not worth showing. */
const WORTH = 2.5;
const SOLVE = { timeLimitSeconds: 5, relativeGap: 0.02 };

/** Ways that turn out not to differ are tried again so many times, and for no longer than this in all, ms. */
const MORE_TRIES = 2;
const LONGEST = 2500;

const UNBALANCED =
  "No version was found, and no rule, limit or wish alone stands in the way: what is left of this sweet cannot be brought back into balance. Exchange lines by hand: every figure follows.";

interface Candidate {
  proposal: Proposal;
}

/** The ending of a search that needs no solver: nothing has to change, or nothing is worked out for this kind of sweet. Else null. */
export const endsAtOnce = (problem: AdaptationProblem): Ending | null => settledWithout(problem, openRoles(problem));

/** Why no whole version is worked out where no figure of ours tells whether it would hold; null where one can be. */
function whyRefused({ archetype, lines, tables }: AdaptationProblem, banned: ReadonlySet<LineId>): string | null {
  const profile = tables.profiles.get(archetype);
  if (!profile) return `No whole versions are worked out for a ${archetype}.`;
  if (profile.refused !== null) return profile.refused;
  if (lines.some(({ id, food, optional }) => food.thickening.cultured === true && banned.has(id) && !optional))
    return "Another milk would have to be soured here, and no figure of ours tells how it sets and sours.";
  return null;
}

function settledWithout(problem: AdaptationProblem, { opened, banned, recipeFigures }: ReturnType<typeof openRoles>): Ending | null {
  const { breaches, questions } = standingOf(problem, null, recipeFigures);
  const contrary = wishClashes(problem);
  if (contrary.length > 0)
    return {
      kind: "no-version-fits",
      relation: "all",
      clashes: contrary.map(({ wish, words }) => ({ kind: "wish", limit: words, wish, given: "asked", needed: "let go" })),
      recipeFigures,
    };
  if (leadUnread(problem)) return { kind: "cannot-tell", questions, recipeFigures };
  if (opened.size === 0 && banned.size === 0) {
    if (breaches.length > 0) return { kind: "change-by-hand", breaches, questions, recipeFigures };
    return questions.length > 0 ? { kind: "cannot-tell", questions, recipeFigures } : { kind: "nothing-to-change", recipeFigures };
  }
  const why = whyRefused(problem, banned);
  return why === null ? null : { kind: "failed", why: `${why} Exchange lines by hand: every figure follows.`, recipeFigures };
}

/**
 * Works out up to `maxProposals` whole versions for a table: the closest, one with least free sugars where a limit asks
 * for it, one with fewest new foods, and others two exchanges away. `now` gives milliseconds for the record only.
 */
export async function propose(
  problem: AdaptationProblem,
  solve: SolverPort,
  now: () => number,
  onProgress: (progress: Progress) => void = () => undefined,
): Promise<Ending> {
  const opening = openRoles(problem);
  const { recipeFigures } = opening;
  const settled = settledWithout(problem, opening);
  if (settled) return settled;

  // What breaks a rule is all optional: it is left out, and nothing else has to change.
  if (opening.opened.size === 0) {
    const rows = problem.lines.map((line): VersionRow => {
      const { id, food, grams, role } = line;
      if (!opening.banned.has(id)) return { id, line: id, food, grams, role, change: "as is", why: "" };
      return { id, line: id, food: null, grams: 0, role, change: "left out", why: "optional" };
    });
    const version = { rows, evaporation: roundedEvaporation(problem.evaporation.value) };
    const proposal = proposalOf(problem, version, "Closest", "Closest", { status: "optimal", gap: 0, milliseconds: 0 }, recipeFigures);
    if (proposal) return { kind: "proposals", proposals: [proposal], recipeFigures };
  }
  const targets = targetsOf(problem);
  const base = plainRun(targets.proteinRatio);
  const sugarLimited = problem.limits.some((limit) => limit.id === "freeSugars") && opening.opened.has("sweetener");
  const plans: { label: ProposalPlan; run: Run; differs: boolean }[] = [{ label: "Closest", run: base, differs: false }];
  if (problem.maxProposals > 1 && sugarLimited)
    plans.push({ label: "Least free sugars", run: { ...base, sweetnessFactor: 0.88, freeSugarWeight: 1.2 }, differs: false });
  if (problem.maxProposals > 1) plans.push({ label: "Fewest changes", run: { ...base, noveltyWeight: 3 }, differs: false });
  for (let i = 0; problem.maxProposals > 1 && i < problem.maxProposals + MORE_TRIES; i++) plans.push({ label: "Another way", run: base, differs: true });

  const began = now();
  const found: Candidate[] = [];
  const tried: ReadonlySet<string>[] = [];
  let best: number | null = null;
  let outOfTime = false;
  for (const [index, plan] of plans.entries()) {
    if (found.length >= problem.maxProposals || (found.length > 0 && now() - began > LONGEST)) break;
    onProgress({ done: index, of: plans.length, doing: plan.label });
    const started = now();
    const run: Run = plan.differs ? { ...plan.run, cuts: tried } : plan.run;
    const built = build(problem, opening, targets, run);
    const outcome = await solve(built.model, SOLVE);
    if (outcome.kind === "failed") return { kind: "failed", why: `The solver failed: ${outcome.why}`, recipeFigures };
    if (outcome.kind === "infeasible") {
      if (index > 0) continue;
      onProgress({ done: index, of: plans.length, doing: "Finding which limits clash" });
      const found = await findClashes(problem, opening, targets, run, solve);
      if (found.clashes.length === 0) return { kind: "failed", why: UNBALANCED, recipeFigures };
      return { kind: "no-version-fits", recipeFigures, ...found };
    }
    if (outcome.kind === "time ran out") outOfTime = true;
    const solution = outcome.kind === "optimal" ? outcome : outcome.incumbent;
    if (!solution) continue;
    if (plan.label === "Closest") best = solution.objective;
    if (plan.differs && best !== null && solution.objective > best + WORTH) break;
    const used = new Set(amountsOf(built, solution.values).map(({ slot }) => slot.key));
    if (tried.some((other) => sameSet(other, used))) continue;
    tried.push(used);
    const rounded = await roundAmounts(problem, opening, targets, run, used, { built, values: solution.values }, solve);
    const proposal = finish(problem, opening, plan.label, rounded.amounts, rounded.evaporation, {
      status: outcome.kind === "optimal" ? "optimal" : "best so far",
      gap: outcome.gap,
      milliseconds: Math.round(now() - started),
    });
    if (!proposal) continue;
    const alike = found.find((other) => !isDistinct(other.proposal, proposal, problem));
    if (alike) alike.proposal = withAlternative(alike.proposal, proposal);
    else found.push({ proposal });
  }
  if (found.length === 0)
    return outOfTime
      ? { kind: "time-ran-out", recipeFigures }
      : { kind: "failed", why: "Versions were found, but none could be brought to amounts that can be weighed within the limits.", recipeFigures };
  return {
    kind: "proposals",
    proposals: labelled(
      found.map(({ proposal }) => proposal),
      problem,
    ),
    recipeFigures,
  };
}

/**
 * Water driven off is told to 5 g; where that would be much of it, closer.
 * @unit g
 * @range any
 * @source rounding
 */
export const roundedEvaporation = (grams: number): number =>
  Math.abs(grams) >= 50 ? Math.round(grams / 5) * 5 : Math.abs(grams) >= 10 ? Math.round(grams) : Math.round(grams * 10) / 10;

function finish(
  problem: AdaptationProblem,
  opening: ReturnType<typeof openRoles>,
  plan: ProposalPlan,
  amounts: readonly Amount[],
  evaporation: number,
  solver: Proposal["solver"],
): Proposal | null {
  const version = decode(problem, opening, amounts, roundedEvaporation(evaporation));
  return proposalOf(problem, version, plan, plan, solver, opening.recipeFigures);
}

/** A version as a proposal, with all that is computed of it; null where it passes a limit of the table. */
export function proposalOf(
  problem: AdaptationProblem,
  version: Version,
  plan: ProposalPlan,
  label: string,
  solver: Proposal["solver"],
  recipeFigures: Figures,
): Proposal | null {
  const { figures } = evaluate(versionInput(version, problem), problem.reference.constants);
  if (problem.limits.some((limit) => figures[limitProperty(limit)].value > limit.most * 1.001)) return null;
  if (missedGoals(problem, recipeFigures, figures).length > 0 || isTooDear(problem, version)) return null;
  const standing = standingOf(problem, version, figures);
  const beams = beamReadings(recipeFigures, figures, problem.limits, problem.serve, problem.reference.constants);
  return {
    plan,
    label,
    reason: reasonOf(plan, version, problem, beams, figures),
    version,
    figures,
    beams,
    notes: versionNotes(problem, version, figures),
    standing,
    solver,
  };
}

const sameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>) => a.size === b.size && [...a].every((key) => b.has(key));
