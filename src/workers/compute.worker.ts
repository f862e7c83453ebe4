import { answering } from "./compute/answer";
import type { Asked, ComputeAnswer, ComputeQuestion, Reply } from "./protocol";
import { serveQuestions } from "./serve";

declare const self: DedicatedWorkerGlobalScope;

const handle = serveQuestions<ComputeQuestion, never, ComputeAnswer>(answering(), (message: Reply<never, ComputeAnswer>) => self.postMessage(message));
self.onmessage = (event: MessageEvent<Asked<ComputeQuestion>>) => handle(event.data);
