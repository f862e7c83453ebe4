export { foodsIn, make, type Unmakeable } from "./make";
export { holdsOf, learnedHolds, seenHolds, soakedGrams, strengthOf } from "./milk";
export { syrupStage } from "./sweet";
export { isMakingKind, MAKING_KINDS, type MakingKind } from "./making";
export type { Made, MadePart, Making, MakingTerm, MilkMaking, NamedMass } from "./making";
export type { MakingTables, MilkMaterial } from "./tables";
