import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { AdaptationProblem, Ending, Progress } from "../../core/substitution";
import type { SolverAnswer, SolverQuestion } from "../../workers/protocol";
import { createWorkerClient } from "../../workers/worker-client";
import { threadOf } from "../thread";
import { threadQueue } from "../thread-queue";

/** One solve at a time on the worker thread; eight more may wait before the answer is 503. */
const ask = threadQueue({
  name: "solver",
  start: () => createWorkerClient<SolverQuestion, Progress, SolverAnswer>(threadOf(() => new Worker(join(process.cwd(), ".build", "solver.thread.mjs")))),
  mostWaiting: 8,
  mostSeconds: 60,
  busy: "The solver is busy; try again in a few seconds.",
});

/** Works out versions on the server's worker thread, in turn; 503 when too many wait. */
export const proposeOnServer = (problem: AdaptationProblem, left: AbortSignal): Promise<Ending> => ask({ of: "versions", problem }, left) as Promise<Ending>;
