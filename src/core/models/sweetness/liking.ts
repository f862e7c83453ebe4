import type { Constants, LearnedFactor } from "../../food";
import { Z80 } from "../../numeric";

/** How sweet somebody likes it, beside how it is usually made here. */
export const LIKINGS = ["less sweet", "as made here", "sweeter"] as const;
export type Liking = (typeof LIKINGS)[number];

/** What is level for somebody: from, to, the sweetness that they would like most and how unsure that is, g as sugar per 100 g. */
export interface Level {
  readonly target: number;
  readonly sd: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What is level for an eater of a sweet that is usually made with a sweetness, until their tastings say more: their target, give
 * or take the least difference that is noticed. The spread is of what they would like most.
 * @unit g sucrose per 100 g
 * @range 0 or more
 * @source rules of thumb of the constants
 */
export function levelOf(usual: number, liking: Liking, { liking: { value }, noticeable }: Pick<Constants, "liking" | "noticeable">): Level {
  const target = usual * value[liking];
  const noticed = target * noticeable.value.sweetness;
  return { target, sd: target * value.sd, low: target - noticed, high: target + noticed };
}

/**
 * The same for an eater whose answers to batches are known: as wide as what is not noticed, or as they leave it open (80 %), whichever is more.
 * @unit g sucrose per 100 g
 * @range 0 or more
 * @source science.md §11; the factor is learned from answers
 */
export function tastedLevel(usual: number, { ln, sd }: Pick<LearnedFactor, "ln" | "sd">, { noticeable }: Pick<Constants, "noticeable">): Level {
  const target = usual * Math.exp(ln);
  const half = Math.max(Math.log(1 + noticeable.value.sweetness), Z80 * sd);
  return { target, sd: target * sd, low: target * Math.exp(-half), high: target * Math.exp(half) };
}
