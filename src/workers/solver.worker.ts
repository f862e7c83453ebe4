import load from "highs";
import type { SolverAsked, SolverReply } from "./protocol";
import { serveSolver } from "./solver/serve";

declare const self: DedicatedWorkerGlobalScope;

const handle = serveSolver(
  () => load({ locateFile: (file: string) => new URL(`/solver/${file}`, self.location.origin).href }),
  (message: SolverReply) => self.postMessage(message),
);
self.onmessage = (event: MessageEvent<SolverAsked>) => handle(event.data);
