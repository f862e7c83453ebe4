export { methodOf } from "./build";
export { mentionsOfLines, namedLines, shortName } from "./names";
export { methodInOwnOrder, withOwnSteps, type OwnSteps } from "./own-steps";
export { handlingKindOf, type HandlingKind } from "./kinds";
export type { Handling, HandlingStep, HandlingTables, Method } from "./step";
export { timesOf, type MethodTimes } from "./times";
export { clausesIn, sentencesOf } from "./sentences";
export { stepsWithout } from "./without";
export { textOf, wordsOf, type StepWords } from "./words";
