import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { PlanClash, PlanProblem, SolvedPlan } from "../../core/plan";
import { createWorkerClient } from "../../workers/worker-client";
import { threadOf } from "../thread";
import { threadQueue } from "../thread-queue";

export interface PlanQuestion {
  readonly problem: PlanProblem;
  readonly seed: number;
}
export interface PlanAnswer {
  readonly solved: SolvedPlan;
  readonly clashes: readonly PlanClash[];
}

/** Solves a plan on a thread of its own, in turn. */
export const planOnServer = threadQueue({
  name: "planning",
  start: () => createWorkerClient<PlanQuestion, never, PlanAnswer>(threadOf(() => new Worker(join(process.cwd(), ".build", "planning.thread.mjs")))),
  mostWaiting: 8,
  mostSeconds: 30,
  busy: "Others are planning just now; try again in a few seconds.",
});
