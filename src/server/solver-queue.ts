import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { AdaptationProblem, Ending } from "../core/substitution";
import { createSolverClient, type SolverClient } from "../workers/solver/solver-client";
import type { SolverReply } from "../workers/protocol";
import { Refusal } from "./problem-details";

/** One solve at a time on the worker thread; this many more may wait before the door says 503. */
const MOST_WAITING = 8;
const MOST_SECONDS = 60;

interface Queue {
  client: SolverClient | null;
  waiting: number;
  last: Promise<unknown>;
}
const shared = globalThis as typeof globalThis & { threpsisSolver?: Queue };

function spawn({ onReply, onCrash }: { onReply: (reply: SolverReply) => void; onCrash: (why: string) => void }) {
  const worker = new Worker(join(process.cwd(), ".build", "solver.thread.mjs"));
  worker.unref();
  worker.on("message", (reply: SolverReply) => onReply(reply));
  worker.on("error", (error) => onCrash(error.message));
  return { post: (request: unknown) => worker.postMessage(request), terminate: () => void worker.terminate() };
}

/** Works out versions on the server's worker thread, in turn; 503 when too many wait. Whoever leaves gives the place back. */
export async function proposeOnServer(problem: AdaptationProblem, left: AbortSignal): Promise<Ending> {
  const queue = (shared.threpsisSolver ??= { client: null, waiting: 0, last: Promise.resolve() });
  if (queue.waiting > MOST_WAITING) throw new Refusal(503, "The solver is busy; try again in a few seconds.", [], { headers: { "retry-after": "5" } });
  queue.waiting++;
  const client = (queue.client ??= createSolverClient(spawn));
  // The place is free as soon as the one who had it has gone, whether it was their turn or not.
  let held = true;
  const giveBack = () => {
    if (held) queue.waiting--;
    held = false;
  };
  left.addEventListener("abort", giveBack, { once: true });
  const run = queue.last.then(() => {
    if (left.aborted) throw new Refusal(499, "The one who asked has left.");
    return client.propose(problem, { signal: AbortSignal.any([left, AbortSignal.timeout(MOST_SECONDS * 1000)]), onProgress: () => undefined });
  });
  queue.last = run.catch(() => undefined);
  try {
    return await run;
  } finally {
    left.removeEventListener("abort", giveBack);
    giveBack();
  }
}
