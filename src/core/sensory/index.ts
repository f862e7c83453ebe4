export * from "./answers";
export { PENALTY_FROM, penalties } from "./penalty";
export {
  MOST_TESTS,
  rightNeeded,
  testsNeeded,
  TRIANGLE_AIMS,
  triangleFinds,
  triangleResult,
  triangleServings,
  type TriangleAim,
  type TriangleServing,
} from "./triangle";
export { triangleTold, type TriangleTold } from "./triangle-words";
