import type { Evaluated } from "../../../core/kitchen";
import type { ReadRecipe } from "../../../core/recipe";
import type { AdaptationProblem } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";

/** What stays the same while a version is worked on. */
export interface BenchView {
  readonly read: ReadRecipe;
  readonly table: DiningTable;
  readonly problem: AdaptationProblem;
  /** The recipe as handed down, for the table's servings. */
  readonly before: Evaluated;
}
