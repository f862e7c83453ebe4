import load, { type Highs } from "highs";
import type { Asked, Reply } from "./protocol";
import { proofAnswer, type ProofAnswer, type ProofQuestion } from "./proving";
import { serveQuestions } from "./serve";
import { createHighsPort } from "./solver/highs-port";

declare const self: DedicatedWorkerGlobalScope;

let highs: Promise<Highs> | null = null;
const handle = serveQuestions<ProofQuestion, never, ProofAnswer>(
  async (question) => {
    try {
      highs ??= load({ locateFile: (file: string) => new URL(`/solver/${file}`, self.location.origin).href });
      return await proofAnswer(question, createHighsPort(await highs));
    } catch (error) {
      // Loaded anew the next time.
      highs = null;
      throw error;
    }
  },
  (message: Reply<never, ProofAnswer>) => self.postMessage(message),
);
self.onmessage = (event: MessageEvent<Asked<ProofQuestion>>) => handle(event.data);
