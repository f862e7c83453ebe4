import type { SolverPort } from "../core/numeric";
import { provePlan, type PlacedTask, type PlanProblem, type Proven } from "../core/plan";

export interface ProofQuestion {
  readonly problem: PlanProblem;
  readonly placed: readonly PlacedTask[];
}
export type ProofAnswer = Proven;

/** So long it is tried at the most, seconds. */
export const PROOF_SECONDS = 20;

/** Looks for the latest start that a plan can have, or proves that it has it. */
export const proofAnswer = ({ problem, placed }: ProofQuestion, solve: SolverPort): Promise<ProofAnswer> =>
  provePlan(problem, placed, solve, { seconds: PROOF_SECONDS, clock: () => performance.now() / 1000 });
