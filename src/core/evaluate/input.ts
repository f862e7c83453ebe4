import type { Estimate } from "../numeric";
import type { Archetype, BalancedLine } from "../recipe";

/** A sweet as it is asked about: complete, nothing optional. */
export interface EvaluationInput {
  readonly lines: readonly BalancedLine[];
  readonly evaporation: Estimate;
  /** Above 0. */
  readonly servings: number;
  /** Minutes of wet heat; null means cooked through. */
  readonly cookMinutes: number | null;
  /** Of the evaporation, what lines served apart lose, g. */
  readonly apart: number;
  /** The kind of sweet; null where that is not known. */
  readonly archetype: Archetype | null;
}
