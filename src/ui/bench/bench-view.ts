import type { EvaluationInput, Figures } from "../../core/evaluate";
import type { ReadRecipe } from "../../core/recipe";
import type { AdaptationProblem } from "../../core/substitution";
import type { DiningTable } from "../../core/table";

/** One side of the bench: what it was computed from, and its figures. */
export interface Side {
  readonly input: EvaluationInput;
  readonly figures: Figures;
}

/** What stays the same while a version is worked on. */
export interface BenchView {
  readonly read: ReadRecipe;
  readonly table: DiningTable;
  readonly problem: AdaptationProblem;
  /** The recipe as handed down, for the table's servings. */
  readonly before: Side;
}
