import { planAnswer, type PlanAnswer, type PlanProgress, type PlanQuestion } from "./planning";
import type { Asked, Reply } from "./protocol";
import { serveQuestions } from "./serve";

declare const self: DedicatedWorkerGlobalScope;

const handle = serveQuestions<PlanQuestion, PlanProgress, PlanAnswer>(planAnswer, (message: Reply<PlanProgress, PlanAnswer>) => self.postMessage(message));
self.onmessage = (event: MessageEvent<Asked<PlanQuestion>>) => handle(event.data);
