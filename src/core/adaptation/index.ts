export { differenceWords, lineDifferences, type Compared, type ComparedLine, type LineageRevision, type LineageVersion } from "./lineage";
export { asHandedDown, foodsWith, rebased, rowsWithoutFood, sinceWords, stored, type BenchState, type Rebased } from "./bench";
export type { StoredBench, StoredRow } from "./stored-bench";
export { packSnapshot, snapshotFrom1, snapshotFrom2, unpackSnapshot, type StoredSnapshot, type StoredSnapshot1, type StoredSnapshot2 } from "./stored-snapshot";
export { benchFrom1, benchFrom2, type StoredBench1, type StoredBench2 } from "./upcast";
export { withOwnWords } from "./own-words";
export { methodFor, type MadeMethod, type VersionHazard } from "./method-for";
export { groundOf, recipeInput, snapshotOf, type Snapshot } from "./snapshot";
export { reopened, storedProposals, type StoredProposals } from "./stored-proposals";
