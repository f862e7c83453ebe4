import type { Asked, ReadingAnswer, ReadingQuestion, Reply } from "./protocol";
import { understand } from "./reading/understand";
import { serveQuestions } from "./serve";

declare const self: DedicatedWorkerGlobalScope;

const handle = serveQuestions<ReadingQuestion, never, ReadingAnswer>(understand, (message: Reply<never, ReadingAnswer>) => self.postMessage(message));
self.onmessage = (event: MessageEvent<Asked<ReadingQuestion>>) => handle(event.data);
