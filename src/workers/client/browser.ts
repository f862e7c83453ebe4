import type { SolverReply } from "../protocol";
import { createSolverClient, type SolverClient } from "../solver/solver-client";

/** The bench's solver: a web worker, loaded only when a version is first asked for. */
export function createBrowserSolver(): SolverClient {
  return createSolverClient(({ onReply, onCrash }) => {
    const worker = new Worker(new URL("../solver.worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = (event: MessageEvent<SolverReply>) => onReply(event.data);
    worker.onerror = (event) => onCrash(event.message || "The solver could not be loaded.");
    return { post: (request) => worker.postMessage(request), terminate: () => worker.terminate() };
  });
}
