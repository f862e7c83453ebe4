import type { Asked, Reply } from "./protocol";

/** The little of a worker that the client needs: a web worker or a worker thread behind it. */
export interface WorkerHandle<Question> {
  post(asked: Asked<Question>): void;
  terminate(): void;
}

export interface WorkerListeners<Step, Answer> {
  readonly onReply: (reply: Reply<Step, Answer>) => void;
  readonly onCrash: (why: string) => void;
}

export type SpawnWorker<Question, Step, Answer> = (listeners: WorkerListeners<Step, Answer>) => WorkerHandle<Question>;

export class Cancelled extends Error {
  constructor() {
    super("cancelled");
  }
}

export interface WorkerClient<Question, Step, Answer> {
  /** Asks the worker; rejects with Cancelled when the signal aborts (the worker is ended), or with what went wrong. */
  ask(question: Question, options: { readonly signal: AbortSignal; readonly onProgress?: (progress: Step) => void }): Promise<Answer>;
  close(): void;
}

interface Waiting<Step, Answer> {
  readonly resolve: (answer: Answer) => void;
  readonly reject: (error: Error) => void;
  readonly onProgress: (progress: Step) => void;
}

/** A client that starts the worker when first needed, and a new one after a cancel or a crash. */
export function createWorkerClient<Question, Step, Answer>(spawn: SpawnWorker<Question, Step, Answer>): WorkerClient<Question, Step, Answer> {
  let worker: WorkerHandle<Question> | null = null;
  let nextId = 1;
  const waiting = new Map<number, Waiting<Step, Answer>>();

  const end = (error: Error) => {
    worker?.terminate();
    worker = null;
    const all = [...waiting.values()];
    waiting.clear();
    for (const each of all) each.reject(error);
  };
  const onReply = (reply: Reply<Step, Answer>) => {
    const asked = waiting.get(reply.id);
    if (!asked) return;
    if (reply.kind === "progress") return asked.onProgress(reply.progress);
    waiting.delete(reply.id);
    if (reply.kind === "ended") asked.resolve(reply.answer);
    else asked.reject(new Error(reply.why));
  };

  return {
    ask(question, { signal, onProgress = () => undefined }) {
      return new Promise((resolve, reject) => {
        if (signal.aborted) return reject(new Cancelled());
        const id = nextId++;
        const onAbort = () => end(new Cancelled());
        signal.addEventListener("abort", onAbort, { once: true });
        const done = () => signal.removeEventListener("abort", onAbort);
        waiting.set(id, {
          onProgress,
          resolve: (answer) => {
            done();
            resolve(answer);
          },
          reject: (error) => {
            done();
            reject(error);
          },
        });
        worker ??= spawn({ onReply, onCrash: (why) => end(new Error(why)) });
        worker.post({ id, question });
      });
    },
    close: () => end(new Cancelled()),
  };
}
