import { bodyRowPerGram } from "../coefficients";
import { cooledState } from "../cooled";
import type { Programme, Term } from "./programme";

/** X·V − X*·V of the sweet for a target X*, with protein²/serum linearised at `proteinRatio` = P/V: P²/V ≈ 2·ratio·P − ratio²·V. */
export function bodyTerms({ problem, all, x, e, targets, run: { proteinRatio } }: Programme, target: number): Term[] {
  const { gel } = targets;
  const { protein, proteinChilled } = problem.reference.constants.body.value;
  const square = protein * (cooledState(problem) === "chilled" ? proteinChilled : 1) * 10_000;
  const perSerum = -square * proteinRatio * proteinRatio - target;
  const terms = all.map((slot, i): Term => {
    const part = bodyRowPerGram(slot, problem, gel);
    return [x[i] ?? 0, part.thickening + square * 2 * proteinRatio * part.protein + perSerum * part.serum];
  });
  return [...terms, [e, -perSerum]];
}
