export { methodOf, namedLines } from "./build";
export type { Handling, HandlingStep, Method, MethodStep, MethodTake, StepOrigin } from "./step";
export { textOf, wordsOf, type Segment, type StepWords } from "./words";
