import { evaluate, type Figures } from "../evaluate";
import { beamReadings, insideCount, type BeamReading } from "./beams";
import { build } from "./build";
import { findClashes, type Clashes } from "./clashes";
import { amountsOf, decode, type Amount } from "./decode";
import type { SolverPort } from "./model";
import { versionNotes, type Note } from "./notes";
import { limitProperty, openRoles } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import { roundAmounts } from "./round";
import { plainRun, type Run } from "./run";
import { targetsOf } from "./targets";
import { leadUnread, standingOf, type Breach, type Question, type Standing } from "./verdict";
import { versionInput, type Version } from "./version";

/** What a search looks for in a version. */
export const PROPOSAL_PLANS = ["Closest", "Least free sugars", "Fewest changes", "Another way"] as const;
export type ProposalPlan = (typeof PROPOSAL_PLANS)[number];

export interface Proposal {
  readonly plan: ProposalPlan;
  /** What it is best at, or the food that sets it apart ("With soya milk"). */
  readonly label: string;
  /** Why this one: what it is best at, in a sentence. */
  readonly reason: string;
  readonly version: Version;
  readonly figures: Figures;
  readonly beams: readonly BeamReading[];
  readonly notes: readonly Note[];
  readonly standing: Standing;
  readonly solver: { readonly status: "optimal" | "best so far"; readonly gap: number; readonly milliseconds: number };
}

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

interface Candidate {
  readonly used: ReadonlySet<string>;
  readonly proposal: Proposal;
}

/** The ending of a search that needs no solver: nothing has to change, or nothing is worked out for this kind of sweet. Else null. */
export const endsAtOnce = (problem: AdaptationProblem): Ending | null => settledWithout(problem, openRoles(problem));

function settledWithout(problem: AdaptationProblem, { opened, recipeFigures }: ReturnType<typeof openRoles>): Ending | null {
  const { breaches, questions } = standingOf(problem, null, recipeFigures);
  if (leadUnread(problem)) return { kind: "cannot-tell", questions, recipeFigures };
  if (opened.size === 0) {
    if (breaches.length > 0) return { kind: "change-by-hand", breaches, questions, recipeFigures };
    return questions.length > 0 ? { kind: "cannot-tell", questions, recipeFigures } : { kind: "nothing-to-change", recipeFigures };
  }
  if (problem.tables.profiles.get(problem.archetype)?.solved) return null;
  return {
    kind: "failed",
    why: `Whole versions are worked out for puddings and flour halwas so far, not for a ${problem.archetype}. Exchange lines by hand: every figure follows.`,
    recipeFigures,
  };
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

  const targets = targetsOf(problem);
  const base = plainRun(targets.proteinRatio);
  const sugarLimited = problem.limits.some((limit) => limit.id === "freeSugars") && opening.opened.has("sweetener");
  const plans: { label: ProposalPlan; run: Run; differs: boolean }[] = [{ label: "Closest", run: base, differs: false }];
  if (problem.maxProposals > 1 && sugarLimited)
    plans.push({ label: "Least free sugars", run: { ...base, sweetnessFactor: 0.88, freeSugarWeight: 1.2 }, differs: false });
  if (problem.maxProposals > 1) plans.push({ label: "Fewest changes", run: { ...base, noveltyWeight: 3 }, differs: false });
  for (let i = plans.length; i < problem.maxProposals + 1; i++) plans.push({ label: "Another way", run: base, differs: true });

  const found: Candidate[] = [];
  let best: number | null = null;
  let outOfTime = false;
  for (const [index, plan] of plans.entries()) {
    if (found.length >= problem.maxProposals) break;
    onProgress({ done: index, of: plans.length, doing: plan.label });
    const started = now();
    const run: Run = plan.differs ? { ...plan.run, cuts: found.map(({ used }) => used) } : plan.run;
    const built = build(problem, opening, targets, run);
    const outcome = await solve(built.model, SOLVE);
    if (outcome.kind === "failed") return { kind: "failed", why: `The solver failed: ${outcome.why}`, recipeFigures };
    if (outcome.kind === "infeasible") {
      if (index > 0) continue;
      onProgress({ done: index, of: plans.length, doing: "Finding which limits clash" });
      return { kind: "no-version-fits", recipeFigures, ...(await findClashes(problem, opening, targets, run, solve)) };
    }
    if (outcome.kind === "time ran out") outOfTime = true;
    const solution = outcome.kind === "optimal" ? outcome : outcome.incumbent;
    if (!solution) continue;
    if (plan.label === "Closest") best = solution.objective;
    if (plan.differs && best !== null && solution.objective > best + WORTH) break;
    const used = new Set(amountsOf(built, solution.values).map(({ slot }) => slot.key));
    if (found.some((other) => sameSet(other.used, used))) continue;
    const rounded = await roundAmounts(problem, opening, targets, run, used, { built, values: solution.values }, solve);
    if (!rounded) continue;
    const proposal = finish(
      problem,
      opening,
      plan.label,
      rounded.amounts,
      rounded.evaporation,
      found.map(({ proposal }) => proposal),
      { status: outcome.kind === "optimal" ? "optimal" : "best so far", gap: outcome.gap, milliseconds: Math.round(now() - started) },
    );
    if (proposal && !found.some((other) => sameVersion(other.proposal.version, proposal.version))) found.push({ used, proposal });
  }
  if (found.length === 0)
    return outOfTime
      ? { kind: "time-ran-out", recipeFigures }
      : { kind: "failed", why: "Versions were found, but none could be brought to amounts that can be weighed within the limits.", recipeFigures };
  return { kind: "proposals", proposals: found.map(({ proposal }) => proposal), recipeFigures };
}

function finish(
  problem: AdaptationProblem,
  opening: ReturnType<typeof openRoles>,
  plan: ProposalPlan,
  amounts: readonly Amount[],
  evaporation: number,
  before: readonly Proposal[],
  solver: Proposal["solver"],
): Proposal | null {
  const version = decode(problem, opening, amounts, Math.round(evaporation / 5) * 5);
  return proposalOf(problem, version, plan, plan === "Another way" ? apartLabel(version, before) : plan, solver, opening.recipeFigures);
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
  const standing = standingOf(problem, version, figures);
  const beams = beamReadings(recipeFigures, figures, problem.limits, problem.serve, problem.reference.constants);
  return {
    plan,
    label,
    reason: reasonOf(plan, version, beams, figures, standing),
    version,
    figures,
    beams,
    notes: versionNotes(problem, version, figures),
    standing,
    solver,
  };
}

/** Names a version by its largest new food that the versions before it do not hold. */
function apartLabel(version: Version, before: readonly Proposal[]): string {
  const known = new Set(before.flatMap((proposal) => proposal.version.rows.map((row) => row.food?.id)));
  const lead = version.rows
    .filter((row) => row.food && (row.change === "replaced" || row.change === "added") && !known.has(row.food.id))
    .sort((a, b) => b.grams - a.grams)[0];
  return lead?.food ? `With ${(lead.food.name.split(",")[0] ?? "").toLowerCase()}` : "Another way";
}

function reasonOf(plan: ProposalPlan, version: Version, beams: readonly BeamReading[], figures: Figures, { breaches }: Standing): string {
  const { inside, of } = insideCount(beams);
  const fresh = version.rows.filter((row) => row.change === "replaced" || row.change === "added");
  const names = fresh
    .slice(0, 3)
    .map((row) => row.food?.name.toLowerCase())
    .join(", ");
  switch (plan) {
    case "Closest":
      return `Nearest to the recipe: ${breaches.length > 0 ? "but something beside the lines still breaks" : `${inside} of ${of} inside`}, with ${names}`;
    case "Least free sugars":
      return `${figures["serving.freeSugarsUk"].value.toFixed(1)} g of free sugars a serving, a little less sweet`;
    case "Fewest changes":
      return `${fresh.length} new ${fresh.length === 1 ? "food" : "foods"}: ${names}`;
    case "Another way":
      return `A different set: ${names}`;
  }
}

const sameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>) => a.size === b.size && [...a].every((key) => b.has(key));
const sameVersion = (a: Version, b: Version) =>
  JSON.stringify(a.rows.map((row) => [row.food?.id, row.grams])) === JSON.stringify(b.rows.map((row) => [row.food?.id, row.grams]));
