import type { Food } from "../food";
import { proposalOf, type AdaptationProblem, type Ending, type Proposal, type VersionRow } from "../substitution";

/** A version that was worked out, as stored: foods by their ids, and nothing that is computed from it. */
export interface StoredProposal extends Pick<Proposal, "plan" | "label" | "solver"> {
  readonly evaporation: number;
  readonly rows: readonly (Omit<VersionRow, "food"> & { readonly foodId: string | null })[];
}

/** What a search came to, as stored with the bench: reopened for the same basis it is not searched again. */
export interface StoredProposals {
  /** What it was worked out for: revisions of all documents that it rests on, and the version of the models. */
  readonly basis: string;
  readonly proposals: readonly StoredProposal[];
}

/** Of an ending what can be reopened; null of all but proposals, which are quickly come to again, or may end otherwise. */
export const storedProposals = (ending: Ending, basis: string): StoredProposals | null =>
  ending.kind !== "proposals"
    ? null
    : {
        basis,
        proposals: ending.proposals.map(({ plan, label, solver, version: { evaporation, rows } }) => ({
          plan,
          label,
          solver,
          evaporation,
          rows: rows.map(({ food, ...row }) => ({ ...row, foodId: food?.id ?? null })),
        })),
      };

/** Stored proposals as an ending, computed anew; null where they are of another basis, name a food that is not there, or pass a limit. */
export function reopened(
  stored: StoredProposals | null,
  basis: string,
  problem: AdaptationProblem,
  foods: ReadonlyMap<string, Food>,
  recipeFigures: Ending["recipeFigures"],
): Ending | null {
  if (!stored || stored.basis !== basis || stored.proposals.length === 0) return null;
  const lines = new Set<string>(problem.order.lines);
  const proposals: Proposal[] = [];
  for (const { plan, label, solver, evaporation, rows } of stored.proposals) {
    if (rows.some(({ line, foodId }) => (foodId !== null && !foods.has(foodId)) || (line !== null && !lines.has(line)))) return null;
    const version = { evaporation, rows: rows.map(({ foodId, ...row }) => ({ ...row, food: foodId === null ? null : (foods.get(foodId) ?? null) })) };
    const proposal = proposalOf(problem, version, plan, label, solver, recipeFigures);
    if (!proposal) return null;
    proposals.push(proposal);
  }
  return { kind: "proposals", proposals, recipeFigures };
}
