import { parentPort } from "node:worker_threads";
import { clashesOf, solvePlan } from "../../core/plan";
import type { Asked } from "../../workers/protocol";
import { serveQuestions } from "../../workers/serve";
import type { PlanAnswer, PlanQuestion } from "./planning";

/** How many orders are tried at the most, and for how long, ms: the first plan is there within a second. */
const ROUNDS = 5000;
const MOST_MS = 700;

const handle = serveQuestions<PlanQuestion, never, PlanAnswer>(
  ({ problem, seed }) => {
    const begun = performance.now();
    const solved = solvePlan(problem, { seed, rounds: ROUNDS, goOn: () => performance.now() - begun < MOST_MS });
    return { solved, clashes: clashesOf(problem, solved, seed) };
  },
  (message) => parentPort?.postMessage(message),
);
parentPort?.on("message", (asked: Asked<PlanQuestion>) => handle(asked));
