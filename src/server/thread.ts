import type { Worker } from "node:worker_threads";
import type { Reply } from "../workers/protocol";
import type { SpawnWorker } from "../workers/worker-client";

/** A worker thread behind its client. Started by the caller, by a literal path: the bundler has to see which file it is. It does not keep the process alive. */
export const threadOf =
  <Question, Step, Answer>(start: () => Worker): SpawnWorker<Question, Step, Answer> =>
  ({ onReply, onCrash }) => {
    const worker = start();
    worker.unref();
    worker.on("message", (reply: Reply<Step, Answer>) => onReply(reply));
    worker.on("error", (error) => onCrash(error.message));
    return { post: (asked) => worker.postMessage(asked), terminate: () => void worker.terminate() };
  };
