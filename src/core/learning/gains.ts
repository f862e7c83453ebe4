import type { LearningWish } from "../household";
import { kindOf, type LearnedKind } from "./kinds";
import { learn, type Outcome } from "./learn";

/** How far batches were off what was told of them, on average: by the tables, and by what the house's other batches taught. */
export interface LearningGain {
  readonly batches: number;
  /** Of a logarithm: 0.2 is about a fifth too much or too little. */
  readonly byTables: number;
  readonly byHouse: number;
}

/** So many batches of a kind are left out in turn, the latest: more of them tell no more, and take time. */
const LEFT_OUT = 30;
/** Of fewer batches nothing can be left out. */
const LEAST = 2;

/**
 * By how much what was learned improves what is told, quantity by quantity: each batch is left out in turn, and told from the others
 * (leave one out). Of a word that says between what something lies, how far outside of it. Only of quantities that two batches or more
 * have shown.
 */
export function learningGains(outcomes: readonly Outcome[], wish: LearningWish = {}): ReadonlyMap<string, LearningGain> {
  const byKind = new Map<LearnedKind, Outcome[]>();
  for (const outcome of outcomes) {
    const kind = kindOf(mainOf(outcome));
    // What was forgotten is not held against.
    if (kind !== null && outcome.at > (wish.anew?.[mainOf(outcome)] ?? -Infinity)) byKind.set(kind, [...(byKind.get(kind) ?? []), outcome]);
  }
  const misses = new Map<string, { readonly batch: string; readonly byTables: number; readonly byHouse: number }[]>();
  for (const of of byKind.values()) {
    const batches = [...new Set(of.toSorted((a, b) => b.at - a.at).map(({ batch }) => batch))];
    if (batches.length < LEAST) continue;
    for (const batch of batches.slice(0, LEFT_OUT)) {
      const learned = learn(
        of.filter((each) => each.batch !== batch),
        wish,
      );
      for (const outcome of of)
        if (outcome.batch === batch) {
          const told = Object.entries(outcome.of).reduce((sum, [key, weight]) => sum + weight * (learned[key]?.ln ?? 0), 0);
          const main = mainOf(outcome);
          misses.set(main, [...(misses.get(main) ?? []), { batch, byTables: missOf(outcome.ln, 0), byHouse: missOf(outcome.ln, told) }]);
        }
    }
  }
  return new Map(
    [...misses].flatMap(([key, all]): [string, LearningGain][] => {
      const batches = new Set(all.map(({ batch }) => batch)).size;
      const mean = (of: "byTables" | "byHouse") => all.reduce((sum, each) => sum + each[of], 0) / all.length;
      return batches < LEAST ? [] : [[key, { batches, byTables: mean("byTables"), byHouse: mean("byHouse") }]];
    }),
  );
}

/** What an outcome is of most. */
const mainOf = ({ of }: Outcome): string =>
  Object.entries(of).reduce<readonly [string, number]>((most, each) => (Math.abs(each[1]) > Math.abs(most[1]) ? each : most), ["", 0])[0];

function missOf(ln: Outcome["ln"], told: number): number {
  if (typeof ln === "number") return Math.abs(ln - told);
  const [low, high] = ln;
  return Math.max(0, (low ?? -Infinity) - told, told - (high ?? Infinity));
}
