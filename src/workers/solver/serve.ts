import type { Highs } from "highs";
import { propose } from "../../core/substitution";
import type { SolverReply, SolverRequest } from "../protocol";
import { createHighsPort } from "./highs-port";

/** Answers requests one after the other; the same in a web worker and in a worker thread. */
export function serveSolver(load: () => Promise<Highs>, reply: (message: SolverReply) => void): (request: SolverRequest) => void {
  let highs: Promise<Highs> | null = null;
  let last: Promise<void> = Promise.resolve();
  return (request) => {
    last = last.then(async () => {
      const { id, problem } = request;
      try {
        highs ??= load();
        const port = createHighsPort(await highs);
        const ending = await propose(
          problem,
          port,
          () => performance.now(),
          (progress) => reply({ kind: "progress", id, progress }),
        );
        reply({ kind: "ended", id, ending });
      } catch (error) {
        highs = null;
        reply({ kind: "failed", id, why: error instanceof Error ? error.message : String(error) });
      }
    });
  };
}
