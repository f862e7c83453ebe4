export { methodOf, namedLines } from "./build";
export type { Handling, HandlingStep, Method } from "./step";
export { textOf, wordsOf, type StepWords } from "./words";
