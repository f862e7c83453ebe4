export { mentionsOfLines, methodOf, namedLines } from "./build";
export { methodInOwnOrder, withOwnSteps, type OwnSteps } from "./own-steps";
export { handlingKindOf, type HandlingKind } from "./kinds";
export type { Handling, HandlingStep, HandlingTables, Method } from "./step";
export { timesOf, type MethodTimes } from "./times";
export { textOf, wordsOf, type StepWords } from "./words";
