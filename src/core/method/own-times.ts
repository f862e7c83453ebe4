import { learnedKey, type Learned } from "../food";
import type { Operation } from "../recipe";
import type { MethodStep } from "./step";

/** What takes as long as the stove makes it; simmering goes by how fast the pan boils away, waiting by the clock. */
export const BY_THE_STOVE: readonly Operation[] = ["roast", "fry", "steam", "bake", "caramelise"];
/** Another time than told is said from so much of it on. */
const TOLD_FROM = 0.08;

/** A step in the minutes that it takes in this house, as its own batches have shown; as it is where they have shown nothing. */
export function inOwnTime<Step extends MethodStep>(step: Step, learned: Learned): Step {
  const own = BY_THE_STOVE.includes(step.operation) ? learned[learnedKey.time(step.operation)] : undefined;
  const ratio = Math.exp(own?.ln ?? 0);
  if (!own || Math.abs(ratio - 1) < TOLD_FROM) return step;
  const { shortest, usual, longest } = step.minutes;
  const of = (minutes: number) => Math.max(1, Math.round(minutes * ratio));
  const words = `${ratio.toFixed(1)} times as long as told, as in ${own.batches === 1 ? "your last batch" : `your ${own.batches} batches`} here`;
  return {
    ...step,
    minutes: { shortest: of(shortest), usual: of(usual), longest: of(longest) },
    learned: own.ln,
    reasons: [...step.reasons, words],
  };
}
