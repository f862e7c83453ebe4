export { derivedBatches, pulpsLeft, type DerivedBatch } from "./leftovers";
