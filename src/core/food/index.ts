export * from "./nutrients";
export * from "./food";
export * from "./reference";
export { energyKilojoules, KILOJOULES_PER_KILOCALORIE } from "./energy";
export { checkRow, type RowFinding, type RowFault } from "./checks";
