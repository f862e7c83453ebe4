import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { PlanAnswer, PlanProgress, PlanQuestion } from "../../workers/planning";
import { createWorkerClient } from "../../workers/worker-client";
import { threadOf } from "../thread";
import { threadQueue } from "../thread-queue";

/** Solves a plan on a thread of its own, in turn. */
export const planOnServer = threadQueue({
  name: "planning",
  start: () => createWorkerClient<PlanQuestion, PlanProgress, PlanAnswer>(threadOf(() => new Worker(join(process.cwd(), ".build", "planning.thread.mjs")))),
  mostWaiting: 8,
  mostSeconds: 30,
  busy: "Others are planning just now; try again in a few seconds.",
});
