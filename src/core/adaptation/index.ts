export { basisOf, reopened, rowsWithoutFood, stored, type BenchState, type StoredBench } from "./bench";
export { recipeInput, snapshotOf, stepsFor, versionInput, type Snapshot } from "./snapshot";
