export { createBrowserReader, createBrowserSolver, type ReadingClient, type SolverClient } from "./browser";
export { Cancelled } from "../worker-client";
export { kitchenOf } from "../../data/kitchen";
