import { clashesOf, solvePlan, type PlanClash, type PlanProblem, type SolvedPlan } from "../core/plan";

export interface PlanQuestion {
  readonly problem: PlanProblem;
  readonly seed: number;
}
export interface PlanAnswer {
  readonly solved: SolvedPlan;
  readonly clashes: readonly PlanClash[];
}
/** How far it is, 0 to 1; once it is solved the plan too, while it is still looked for what gives way. */
export interface PlanProgress {
  readonly share: number;
  readonly solved?: SolvedPlan;
}

/** How many orders are tried at the most, and for how long, ms: the first plan is there within a second. */
const ROUNDS = 5000;
const MOST_MS = 700;
const TELL_MS = 100;
/** For so long it is looked for what would have to give way, ms. */
const MOST_LOOKING_MS = 2500;

/** Solves a plan, the same on a page's worker and on a thread of the server; and looks for what would have to give way. */
export function planAnswer({ problem, seed }: PlanQuestion, onProgress: (progress: PlanProgress) => void): PlanAnswer {
  const begun = performance.now();
  let told = begun;
  const solved = solvePlan(problem, {
    seed,
    rounds: ROUNDS,
    goOn: () => {
      const now = performance.now();
      if (now - told > TELL_MS) {
        told = now;
        onProgress({ share: Math.min(1, (now - begun) / MOST_MS) });
      }
      return now - begun < MOST_MS;
    },
  });
  if (solved.laid.failed.length > 0) onProgress({ share: 1, solved });
  const looking = performance.now();
  return { solved, clashes: clashesOf(problem, solved, { seed, goOn: () => performance.now() - looking < MOST_LOOKING_MS }) };
}
