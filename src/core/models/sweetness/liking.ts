import type { Constants } from "../../food";

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
