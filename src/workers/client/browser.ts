import type { AdaptationProblem, Ending, Progress } from "../../core/substitution";
import type { ReadingAnswer, ReadingQuestion, Reply } from "../protocol";
import { createWorkerClient, type WorkerClient, type WorkerListeners } from "../worker-client";

export type SolverClient = WorkerClient<AdaptationProblem, Progress, Ending>;
export type ReadingClient = WorkerClient<ReadingQuestion, never, ReadingAnswer>;

function handleOf<Step, Answer>(worker: Worker, { onReply, onCrash }: WorkerListeners<Step, Answer>, lost: string) {
  worker.onmessage = (event: MessageEvent<Reply<Step, Answer>>) => onReply(event.data);
  worker.onerror = (event) => onCrash(event.message || lost);
  return { post: (asked: object) => worker.postMessage(asked), terminate: () => worker.terminate() };
}

/** The bench's solver: a web worker, loaded only when a version is first asked for. */
export const createBrowserSolver = (): SolverClient =>
  createWorkerClient((listeners) =>
    handleOf(new Worker(new URL("../solver.worker.ts", import.meta.url), { type: "module" }), listeners, "The solver could not be loaded."),
  );

/** Reading beside the page: a text that takes long can be stopped, and typing goes on meanwhile. */
export const createBrowserReader = (): ReadingClient =>
  createWorkerClient((listeners) =>
    handleOf(new Worker(new URL("../reading.worker.ts", import.meta.url), { type: "module" }), listeners, "What reads could not be loaded."),
  );
