export { derivedBatches, type DerivedBatch } from "./leftovers";
