import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { Reply } from "../workers/protocol";
import type { SpawnWorker } from "../workers/worker-client";

/** A worker thread of the built app, by the name of its file. It does not keep the process alive. */
export const threadOf =
  <Question, Step, Answer>(file: string): SpawnWorker<Question, Step, Answer> =>
  ({ onReply, onCrash }) => {
    const worker = new Worker(join(process.cwd(), ".build", file));
    worker.unref();
    worker.on("message", (reply: Reply<Step, Answer>) => onReply(reply));
    worker.on("error", (error) => onCrash(error.message));
    return { post: (asked) => worker.postMessage(asked), terminate: () => void worker.terminate() };
  };
