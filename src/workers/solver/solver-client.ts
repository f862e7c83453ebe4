import type { AdaptationProblem, Ending, Progress } from "../../core/substitution";
import type { SolverReply, SolverRequest } from "../protocol";

/** The little of a worker that the client needs: a web worker or a worker thread behind it. */
export interface WorkerHandle {
  post(request: SolverRequest): void;
  terminate(): void;
}

export interface SolverListeners {
  readonly onReply: (reply: SolverReply) => void;
  readonly onCrash: (why: string) => void;
}

export type SpawnWorker = (listeners: SolverListeners) => WorkerHandle;

export class Cancelled extends Error {
  constructor() {
    super("cancelled");
  }
}

export interface SolverClient {
  /** Works out versions; rejects with Cancelled when the signal aborts (the worker is ended), or with what went wrong. */
  propose(problem: AdaptationProblem, options: { readonly signal: AbortSignal; readonly onProgress: (progress: Progress) => void }): Promise<Ending>;
  close(): void;
}

interface Waiting {
  readonly id: number;
  readonly resolve: (ending: Ending) => void;
  readonly reject: (error: Error) => void;
  readonly onProgress: (progress: Progress) => void;
}

/** A client that starts the worker when first needed, and a new one after a cancel or a crash. */
export function createSolverClient(spawn: SpawnWorker): SolverClient {
  let worker: WorkerHandle | null = null;
  let nextId = 1;
  const waiting = new Map<number, Waiting>();

  const end = (error: Error) => {
    worker?.terminate();
    worker = null;
    const all = [...waiting.values()];
    waiting.clear();
    for (const each of all) each.reject(error);
  };
  const onReply = (reply: SolverReply) => {
    const request = waiting.get(reply.id);
    if (!request) return;
    if (reply.kind === "progress") return request.onProgress(reply.progress);
    waiting.delete(reply.id);
    if (reply.kind === "ended") request.resolve(reply.ending);
    else request.reject(new Error(reply.why));
  };

  return {
    propose(problem, { signal, onProgress }) {
      return new Promise((resolve, reject) => {
        if (signal.aborted) return reject(new Cancelled());
        const id = nextId++;
        const onAbort = () => end(new Cancelled());
        signal.addEventListener("abort", onAbort, { once: true });
        const done = () => signal.removeEventListener("abort", onAbort);
        waiting.set(id, {
          id,
          onProgress,
          resolve: (ending) => {
            done();
            resolve(ending);
          },
          reject: (error) => {
            done();
            reject(error);
          },
        });
        worker ??= spawn({ onReply, onCrash: (why) => end(new Error(why)) });
        worker.post({ kind: "propose", id, problem });
      });
    },
    close: () => end(new Cancelled()),
  };
}
