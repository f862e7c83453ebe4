export { createBrowserSolver } from "./browser";
export { Cancelled, type SolverClient } from "../solver/solver-client";
export { foodMatcher, knowledgeOf, readingContext, type Knowledge } from "./knowledge";
