export { basisOf, reopened, stored, type BenchState, type StoredBench } from "./bench";
export { recipeInput, snapshotOf, stepsFor, versionInput, type Snapshot } from "./snapshot";
