import type { Highs } from "highs";
import { propose, tradeOff } from "../../core/substitution";
import type { SolverAnswer, SolverAsked, SolverReply } from "../protocol";
import { serveQuestions } from "../serve";
import { createHighsPort } from "./highs-port";

/** Works out versions; the solver is loaded with the first problem, and anew where loading failed. */
export function serveSolver(load: () => Promise<Highs>, reply: (message: SolverReply) => void): (asked: SolverAsked) => void {
  let highs: Promise<Highs> | null = null;
  return serveQuestions(async ({ of, problem }, onProgress): Promise<SolverAnswer> => {
    try {
      highs ??= load();
      const solve = createHighsPort(await highs);
      return of === "versions" ? await propose(problem, solve, () => performance.now(), onProgress) : await tradeOff(problem, solve, onProgress);
    } catch (error) {
      highs = null;
      throw error;
    }
  }, reply);
}
