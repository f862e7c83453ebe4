export { createBrowserSolver } from "./browser";
export { Cancelled, createSolverClient, type SolverClient, type SpawnWorker } from "../solver/solver-client";
export { knowledge, readingContext } from "./knowledge";
