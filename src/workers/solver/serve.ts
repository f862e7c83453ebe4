import type { Highs } from "highs";
import { propose } from "../../core/substitution";
import type { SolverAsked, SolverReply } from "../protocol";
import { serveQuestions } from "../serve";
import { createHighsPort } from "./highs-port";

/** Works out versions; the solver is loaded with the first problem, and anew where loading failed. */
export function serveSolver(load: () => Promise<Highs>, reply: (message: SolverReply) => void): (asked: SolverAsked) => void {
  let highs: Promise<Highs> | null = null;
  return serveQuestions(async (problem, onProgress) => {
    try {
      highs ??= load();
      return await propose(problem, createHighsPort(await highs), () => performance.now(), onProgress);
    } catch (error) {
      highs = null;
      throw error;
    }
  }, reply);
}
