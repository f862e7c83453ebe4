export * from "./item";
export { dueOf, dueWords, keepingProblem, lastDay, takeOut, inOrderOfUse, type Due, type Needed } from "./use";
