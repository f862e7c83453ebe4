export { differenceWords, lineDifferences, type Compared, type ComparedLine, type LineageRevision, type LineageVersion } from "./lineage";
export { foodsWith, rebased, rowsWithoutFood, sinceWords, stored, type BenchState, type Rebased, type Since, type StoredBench } from "./bench";
export { packSnapshot, snapshotFrom1, unpackSnapshot, type StoredSnapshot, type StoredSnapshot1 } from "./stored-snapshot";
export { benchFrom1, type StoredBench1 } from "./upcast";
export { groundOf, recipeInput, snapshotOf, stepsFor, type Snapshot } from "./snapshot";
