export { createBrowserSolver } from "./browser";
export { Cancelled, type SolverClient } from "../solver/solver-client";
export { knowledge, readingContext } from "./knowledge";
