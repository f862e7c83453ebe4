export * from "./nutrients";
export * from "./food";
export * from "./reference";
export * from "./learned";
export * from "./learned-words";
export { asAdded, asTreated } from "./treatment";
export { energyKilojoules } from "./energy";
export { foodFacts, nutrientFigure, nutrientUnit } from "./facts";
export { checkRow } from "./checks";
