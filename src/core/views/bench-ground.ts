import { asHandedDown, type BenchState, type StoredBench, type StoredProposals } from "../adaptation";
import { evaluateRecipe, kept, openBench, openInWays, openRecipe, openTable, type Evaluated, type Kitchen } from "../kitchen";
import type { ReadRecipe, Recipe } from "../recipe";
import type { AdaptationProblem } from "../substitution";
import type { DiningTable } from "../table";
import type { InWays, WayPicks } from "../ways";

/** The recipe and table that a bench stands at. */
export interface BenchGround {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** The ways of this batch, where they are other than the household's. */
  readonly ways?: WayPicks;
}

/** What the Swap station shows from. */
export interface BenchQuestion extends Omit<BenchGround, "ways"> {
  readonly bench: StoredBench | null;
  /** What was worked out before. */
  readonly proposals: StoredProposals | null;
  /** The revisions of all documents that proposals rest on; null while one of them is not saved. */
  readonly revisions: readonly number[] | null;
  /** Whether the first proposal is laid on it where nothing lies there: until something was done. */
  readonly laysFirst: boolean;
}

/** What stays the same while a version is worked on. */
export interface Ground {
  /** The recipe as this household makes it. */
  readonly read: ReadRecipe;
  readonly taken: InWays["taken"];
  readonly batch: WayPicks | undefined;
  /** The recipe as it was handed down. */
  readonly written: ReadRecipe;
  readonly problem: AdaptationProblem;
  readonly before: Evaluated;
  readonly handedDown: BenchState;
}

const PROPOSALS = 3;

const grounds = kept((kitchen: Kitchen) =>
  kept((written: ReadRecipe) =>
    kept(({ read, taken }: InWays) =>
      kept((table: DiningTable): Omit<Ground, "batch"> => {
        return {
          read,
          taken,
          written,
          problem: openTable(read, table, kitchen, PROPOSALS),
          before: evaluateRecipe(written, table, kitchen),
          handedDown: asHandedDown(read, table),
        };
      }),
    ),
  ),
);
export const groundFor = ({ recipe, table, ways }: BenchGround, kitchen: Kitchen): Ground => ({
  ...grounds(kitchen)(openRecipe(recipe, kitchen))(openInWays(recipe, ways, kitchen))(table),
  batch: ways,
});
/** The same for what lies on the bench. */
export const groundOfBench = ({ recipe, table, bench }: Pick<BenchQuestion, "recipe" | "table" | "bench">, kitchen: Kitchen): Ground =>
  groundFor({ recipe, table, ...(bench?.ways && { ways: bench.ways }) }, kitchen);
export const withBatch = (state: BenchState, { batch }: Pick<Ground, "batch">): BenchState => ({ ...state, ...(batch && { ways: batch }) });

/** What lay on the bench, for the recipe and table as they are; what nobody chose gives way where they have changed. */
export function laidBench(bench: StoredBench | null, { read }: Ground, table: DiningTable, kitchen: Kitchen) {
  const laid = openBench(bench, read, table, kitchen);
  return laid && (laid.state.byHand || laid.since.length === 0) ? laid : null;
}
