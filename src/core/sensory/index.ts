export * from "./answers";
export { PENALTY_FROM, penalties } from "./penalty";
export { rightNeeded, testsNeeded, triangleResult, triangleServings } from "./triangle";
