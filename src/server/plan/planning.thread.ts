import { parentPort } from "node:worker_threads";
import { planAnswer, type PlanAnswer, type PlanProgress, type PlanQuestion } from "../../workers/planning";
import type { Asked } from "../../workers/protocol";
import { serveQuestions } from "../../workers/serve";

const handle = serveQuestions<PlanQuestion, PlanProgress, PlanAnswer>(planAnswer, (message) => parentPort?.postMessage(message));
parentPort?.on("message", (asked: Asked<PlanQuestion>) => handle(asked));
