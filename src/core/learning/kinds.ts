import { BATCHES_SD, UNLEARNED_SD } from "../food";

export type LearnedKind = "rate" | "body" | "binding" | "time" | "cooling" | "wanted sweetness" | "wanted body";

/** How a quantity is learned: logarithms, as standard deviations. Rules of thumb. */
interface KindLearned {
  /** Between houses, before anything was measured. */
  readonly prior: number;
  /** Of one batch's outcome, beside what was measured of it. */
  readonly each: number;
  /** From batch to batch of one house: what stays however many there are. */
  readonly between: number;
  /** How much it wanders from one outcome to the next: what is long ago tells less of it. */
  readonly drift?: number;
}

/**
 * How quickly each is learned. Body and binding by science.md §4 and §5: the spread between houses is 0.20, 0.14 after one batch and
 * 0.10 after three, of binding about 0.10 after one that binds. Of a rate both together are
 * somewhat more than the 0.35 of §7, which held the truth in 62 to 77 % of simulated kitchens instead of 80. Times, cooling and what
 * eaters want are rules of thumb.
 */
export const KINDS_LEARNED: Readonly<Record<LearnedKind, KindLearned>> = {
  rate: { prior: UNLEARNED_SD.rate, each: 0, between: BATCHES_SD.rate },
  body: { prior: UNLEARNED_SD.body, each: 0.2, between: 0 },
  binding: { prior: UNLEARNED_SD.binding, each: 0.05, between: 0.06 },
  time: { prior: 0.3, each: 0.15, between: 0.15 },
  cooling: { prior: 0.27, each: 0.15, between: 0.15 },
  "wanted sweetness": { prior: 0.24, each: 0.16, between: 0.06, drift: 0.05 },
  "wanted body": { prior: 0.27, each: 0.18, between: 0.08, drift: 0.06 },
};

const isKind = (kind: string): kind is LearnedKind => Object.hasOwn(KINDS_LEARNED, kind);

/** What kind of quantity a key is of; null of one that is not known any more. */
export function kindOf(key: string): LearnedKind | null {
  const kind = key.slice(0, key.indexOf("/"));
  return isKind(kind) ? kind : null;
}
