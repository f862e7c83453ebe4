export { createBrowserSolver } from "./browser";
export { Cancelled, type SolverClient } from "../solver/solver-client";
export { foodMatcher, knowledge, readingContext } from "./knowledge";
