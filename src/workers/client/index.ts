export { createBrowserReader, createBrowserSolver, type ReadingClient, type SolverClient } from "./browser";
export { Cancelled } from "../worker-client";
export { foodMatcher, knowledgeOf, readingContext, type Knowledge } from "./knowledge";
