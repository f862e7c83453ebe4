import { parentPort } from "node:worker_threads";
import load from "highs";
import type { SolverAsked } from "./protocol";
import { serveSolver } from "./solver/serve";

const handle = serveSolver(
  () => load(),
  (message) => parentPort?.postMessage(message),
);
parentPort?.on("message", (asked: SolverAsked) => handle(asked));
