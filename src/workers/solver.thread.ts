import { parentPort } from "node:worker_threads";
import load from "highs";
import type { SolverRequest } from "./protocol";
import { serveSolver } from "./solver/serve";

const handle = serveSolver(
  () => load(),
  (message) => parentPort?.postMessage(message),
);
parentPort?.on("message", (request: SolverRequest) => handle(request));
