export { recipeInput, snapshotOf, stepsFor, versionInput, type Snapshot } from "./snapshot";
