export * from "./answers";
export { PENALTY_FROM, penalties, type Penalty } from "./penalty";
export { rightNeeded, testsNeeded, TRIANGLE_LIMITS, triangleResult, triangleServings, type TriangleResult, type TriangleServing } from "./triangle";
