export * from "./nutrients";
export * from "./food";
export * from "./reference";
export { energyKilojoules, KILOJOULES_PER_KILOCALORIE } from "./energy";
export { checkRow } from "./checks";
