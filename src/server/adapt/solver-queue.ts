import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { AdaptationProblem, Ending, Progress } from "../../core/substitution";
import type { SolverAnswer, SolverQuestion } from "../../workers/protocol";
import { createWorkerClient, type WorkerClient } from "../../workers/worker-client";
import { Refusal } from "../http/problems";
import { threadOf } from "../thread";

/** One solve at a time on the worker thread; this many more may wait before the answer is 503. */
const MOST_WAITING = 8;
const MOST_SECONDS = 60;

interface Queue {
  client: WorkerClient<SolverQuestion, Progress, SolverAnswer> | null;
  waiting: number;
  last: Promise<unknown>;
}
const shared = globalThis as typeof globalThis & { threpsisSolver?: Queue };

/** Works out versions on the server's worker thread, in turn; 503 when too many wait. Whoever leaves gives the place back. */
export async function proposeOnServer(problem: AdaptationProblem, left: AbortSignal): Promise<Ending> {
  const queue = (shared.threpsisSolver ??= { client: null, waiting: 0, last: Promise.resolve() });
  if (queue.waiting > MOST_WAITING) throw new Refusal(503, "The solver is busy; try again in a few seconds.", [], { headers: { "retry-after": "5" } });
  queue.waiting++;
  const client = (queue.client ??= createWorkerClient(threadOf(() => new Worker(join(process.cwd(), ".build", "solver.thread.mjs")))));
  // The place is free as soon as the one who had it has gone, whether it was their turn or not.
  let held = true;
  const giveBack = () => {
    if (held) queue.waiting--;
    held = false;
  };
  left.addEventListener("abort", giveBack, { once: true });
  const run = queue.last.then(() => {
    if (left.aborted) throw new Refusal(499, "The one who asked has left.");
    return client.ask({ of: "versions", problem }, { signal: AbortSignal.any([left, AbortSignal.timeout(MOST_SECONDS * 1000)]) }) as Promise<Ending>;
  });
  queue.last = run.catch(() => undefined);
  try {
    return await run;
  } finally {
    left.removeEventListener("abort", giveBack);
    giveBack();
  }
}
