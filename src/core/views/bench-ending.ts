import { methodFor, readAgain, reopened, stored, storedProposals, type StoredBench, type StoredProposals } from "../adaptation";
import { learnedMark } from "../food";
import { openRecipe, type Kitchen } from "../kitchen";
import { endsAtOnce, type AdaptationProblem, type Ending, type Proposal } from "../substitution";
import type { DiningTable } from "../table";
import { groundFor, withBatch, type BenchGround, type BenchQuestion, type Ground } from "./bench-ground";

/** A version that was worked out, ready to be laid on the bench. */
export interface ToldProposal extends Pick<Proposal, "label" | "reason" | "beams"> {
  readonly bench: StoredBench;
  /** The rule that it breaks all the same, in few words. */
  readonly breaks: string | null;
}

/** How a search for versions ended. */
export type ToldEnding =
  | { readonly kind: "proposals"; readonly proposals: readonly ToldProposal[] }
  | { [Kind in Ending["kind"]]: Omit<Extract<Ending, { kind: Kind }>, "recipeFigures"> }[Exclude<Ending["kind"], "proposals">];

/** The models, and the revisions of all documents that what is worked out rests on. */
const basisOf = (revisions: readonly number[], { reference }: Kitchen, { taken }: Pick<Ground, "taken">): string =>
  [reference.modelVersion, ...revisions, ...taken.map(({ way, option }) => `${way}: ${option}`), learnedMark(reference.constants.learned)]
    .filter((each) => each !== "")
    .join(" ");

export function endingWithoutSolver(
  proposals: StoredProposals | null,
  revisions: readonly number[] | null,
  { problem, before, taken }: Ground,
  kitchen: Kitchen,
): Ending | null {
  return endsAtOnce(problem) ?? (revisions && reopened(proposals, basisOf(revisions, kitchen, { taken }), problem, kitchen.reference.foods, before.figures));
}

/** Further off than this share when its own steps are read again, a version is not shown. */
const FARTHEST = 0.15;

/** Whether a version's own steps, read again, come to about its figures; so far as they can be read. */
export function keepsItself(
  { version, figures }: Pick<Proposal, "version" | "figures">,
  { read, written }: Ground,
  table: DiningTable,
  kitchen: Kitchen,
): boolean {
  const { constants } = kitchen.reference;
  const { words } = methodFor(read, version, table, { handling: kitchen.handling, constants, equipment: kitchen.household.equipment }, undefined, written);
  const again = readAgain(read, version, words, table, figures.yield.value, (recipe) => openRecipe(recipe, kitchen), constants);
  return again === null || Math.abs(again.off) <= FARTHEST;
}

/** From so many minutes less beside the stove on, and as a share, a version is named by it. */
const LESS_WORK = 5;
const LESS_WORK_SHARE = 0.1;

/** The versions, the one named by its least work that has clearly less of it than the closest and no better name. */
function withLeastWork(ending: Ending, { read, written }: Ground, table: DiningTable, kitchen: Kitchen): Ending {
  if (ending.kind !== "proposals" || ending.proposals.length < 2) return ending;
  const ground = { handling: kitchen.handling, constants: kitchen.reference.constants, equipment: kitchen.household.equipment };
  const minutes = ending.proposals.map(({ version }) => methodFor(read, version, table, ground, undefined, written).times.now.handsOn);
  const [closest = 0] = minutes;
  const least = Math.min(...minutes);
  const at = minutes.indexOf(least);
  const less = closest - least;
  if (less < Math.max(LESS_WORK, LESS_WORK_SHARE * closest) || ending.proposals[at]?.plan !== "Another way") return ending;
  return {
    ...ending,
    proposals: ending.proposals.map((proposal, i) =>
      i === at ? { ...proposal, label: "Shortest work", reason: `${proposal.reason}; ${Math.round(less)} min less beside the stove` } : proposal,
    ),
  };
}

/** An ending without versions whose own steps come to something else than their figures; where all of them do, they stay. */
export function withoutStrays(ending: Ending, ground: Ground, table: DiningTable, kitchen: Kitchen): Ending {
  if (ending.kind !== "proposals") return ending;
  const stays = ending.proposals.filter((proposal) => keepsItself(proposal, ground, table, kitchen));
  return stays.length === 0 ? ending : { ...ending, proposals: stays };
}

export function toldEnding(ending: Ending, { read, batch }: Ground, table: DiningTable): ToldEnding {
  const { recipeFigures: _, ...told } = ending;
  if (told.kind !== "proposals") return told;
  return {
    kind: "proposals",
    proposals: told.proposals.map(({ label, reason, beams, version, standing }) => ({
      label,
      reason,
      beams,
      bench: stored(withBatch({ label, version, byHand: false }, { batch }), read, table),
      breaks: standing.breaches.find(({ limit }) => limit === null)?.short ?? null,
    })),
  };
}

/** What the solver is asked for a table. */
export const benchProblem = (ground: BenchGround, kitchen: Kitchen): AdaptationProblem => groundFor(ground, kitchen).problem;

/** How a search ended that the solver was asked for. */
export interface EndingQuestion extends BenchGround {
  readonly ending: Ending;
  readonly revisions: BenchQuestion["revisions"];
}

/** The same as it is shown, and as it is kept to be reopened; null where it is not. */
export function endingView(
  { ending, revisions, ...at }: EndingQuestion,
  kitchen: Kitchen,
): { readonly told: ToldEnding; readonly kept: StoredProposals | null } {
  const ground = groundFor(at, kitchen);
  const held = withLeastWork(withoutStrays(ending, ground, at.table, kitchen), ground, at.table, kitchen);
  return { told: toldEnding(held, ground, at.table), kept: revisions && storedProposals(held, basisOf(revisions, kitchen, ground)) };
}
