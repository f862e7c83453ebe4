import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { atLeast, proportionAtMost } from "../numeric";

/** Who guesses is right once in three. */
const GUESSED = 1 / 3;
/** More tests than this no household serves. */
export const MOST_TESTS: number = 200;
/** What is to be found out: whether anybody tells two samples apart, or that hardly anybody does. */
export const TRIANGLE_AIMS = ["different", "alike"] as const;
export type TriangleAim = (typeof TRIANGLE_AIMS)[number];

/** What a triangle test comes to. */
export interface TriangleResult {
  readonly tests: number;
  readonly right: number;
  /** How likely at least so many are right by guessing alone. */
  readonly p: number;
  /** The fewest right answers that guessing alone reaches no more than once in twenty; null where not even all of them would do. */
  readonly needed: number | null;
  /** The most of all who eat it that may tell the two apart, with 95 % confidence. */
  readonly tellAtMost: number;
}

/**
 * A triangle test: two samples alike and one other, which is the other? Exact binomial with chance 1/3; the upper limit of those who
 * can tell by the exact limit of right answers less those who guess (Abbott's formula).
 * @source ISO 4120:2021; Clopper & Pearson (1934)
 */
export function triangleResult(right: number, tests: number): TriangleResult {
  return {
    tests,
    right,
    p: atLeast(right, tests, GUESSED),
    needed: rightNeeded(tests),
    tellAtMost: Math.max(0, (proportionAtMost(right, tests, CONFIDENCE) - GUESSED) / (1 - GUESSED)),
  };
}
const CONFIDENCE = 0.95;
const ALPHA = 0.05;

/**
 * The fewest right answers of so many that show a difference; null where none do.
 * @unit right answers
 * @range a third of the tests to all
 * @source exact binomial, as tabled in ISO 4120:2021
 */
export function rightNeeded(tests: number, alpha = ALPHA): number | null {
  for (let right = Math.ceil(tests / 3); right <= tests; right++) if (atLeast(right, tests, GUESSED) <= alpha) return right;
  return null;
}

/**
 * How often so many tests find what they are to find, about a share of the eaters that can tell: of "different" how often it is seen
 * where so many can; of "alike" how often it is shown that no more can, where nobody can.
 * @unit probability
 * @range 0 to 1
 * @source exact power of the binomial test of ISO 4120:2021
 */
export function triangleFinds(aim: TriangleAim, tests: number, tell: number, alpha = ALPHA): number {
  const chance = tell + (1 - tell) * GUESSED;
  if (aim === "different") {
    const right = rightNeeded(tests, alpha);
    return right === null ? 0 : atLeast(right, tests, chance);
  }
  // The most right answers that are still so few that so many who can tell would seldom leave it there.
  let most = -1;
  while (most + 1 < tests && 1 - atLeast(most + 2, tests, chance) <= alpha) most++;
  return most < 0 ? 0 : 1 - atLeast(most + 1, tests, GUESSED);
}

/**
 * How many tests are needed to find that, missed no more than so often; null where more than 200 are. More tests that would do worse by
 * the steps of whole numbers are passed over: from the number given on, all do.
 * @unit tests
 * @range 3 to 200
 * @source exact power of the binomial test of ISO 4120:2021
 */
export function testsNeeded(tell: number, missed = 0.2, aim: TriangleAim = "different"): number | null {
  let found: number | null = null;
  for (let tests = MOST_TESTS; tests >= 3 && 1 - triangleFinds(aim, tests, tell) <= missed; tests--) found = tests;
  return found;
}

/** One test as it is served: three cups by their codes, in the order in which they are tasted; which of the two samples is in each. */
export interface TriangleServing {
  readonly cups: readonly { readonly code: string; readonly sample: "A" | "B" }[];
  /** The code of the one that is other than the two. */
  readonly odd: string;
}

const [A, B] = ["A", "B"] as const;
const ORDERS = [
  [A, B, B],
  [B, A, A],
  [A, A, B],
  [B, B, A],
  [A, B, A],
  [B, A, B],
] as const;
/** Servings for so many tests, the same for a seed: each of the six orders as often as the others, as far as they go round; codes of three figures, none twice. */
export function triangleServings(tests: number, seed: number): readonly TriangleServing[] {
  const generator = xoroshiro128plus(seed);
  const below = (most: number): number => uniformInt(generator, 0, most - 1);
  const shuffled = <T>(of: readonly T[]): T[] => {
    const all = [...of];
    for (let i = all.length - 1; i > 0; i--) {
      const k = below(i + 1);
      [all[i], all[k]] = [all[k] as T, all[i] as T];
    }
    return all;
  };
  const codes = shuffled(Array.from({ length: 900 }, (_, i) => String(i + 100)));
  const orders = Array.from({ length: Math.ceil(tests / ORDERS.length) }, () => shuffled(ORDERS)).flat();
  return orders.slice(0, tests).map((order, i): TriangleServing => {
    const cups = order.map((sample, place) => ({ code: codes[3 * i + place] ?? "", sample }));
    const odd = cups.find(({ sample }) => cups.filter((each) => each.sample === sample).length === 1);
    return { cups, odd: odd?.code ?? "" };
  });
}
