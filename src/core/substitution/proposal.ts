import type { Figures } from "../evaluate";
import type { BeamReading } from "./beams";
import type { Note } from "./notes";
import type { Standing } from "./verdict";
import type { Version } from "./version";

/** What a search looks for in a version. */
export const PROPOSAL_PLANS = ["Closest", "Least free sugars", "Fewest changes", "Cheapest", "Another way"] as const;
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
