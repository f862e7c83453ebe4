export { differenceWords, lineDifferences, type Compared, type ComparedLine, type LineageRevision, type LineageVersion } from "./lineage";
export { basisOf, foodsWith, reopened, rowsWithoutFood, stored, type BenchState, type StoredBench } from "./bench";
export { recipeInput, snapshotOf, stepsFor, versionInput, type Snapshot } from "./snapshot";
