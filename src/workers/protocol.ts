import type { AdaptationProblem, Ending, Progress } from "../core/substitution";

/** What the page or the server asks of a solver worker. The problem is complete and can be cloned. */
export interface SolverRequest {
  readonly kind: "propose";
  readonly id: number;
  readonly problem: AdaptationProblem;
}

/** What the worker answers: any number of progress messages, then one ending or failure. Cancelling ends the worker. */
export type SolverReply =
  | { readonly kind: "progress"; readonly id: number; readonly progress: Progress }
  | { readonly kind: "ended"; readonly id: number; readonly ending: Ending }
  | { readonly kind: "failed"; readonly id: number; readonly why: string };
