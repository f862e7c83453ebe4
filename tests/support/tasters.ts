import { learnedKey } from "../../src/core/food";
import { learn, type Outcome } from "../../src/core/learning";
import { Z80 } from "../../src/core/numeric";
import { nextStep, noticedDifference, type LadderTrial, type NoticedDifference } from "../../src/core/practice";

const KEY = learnedKey.wantedSweetness("a");
/** The least difference that is noticed, as the models have it, and what each answer says by it. */
const NOTICED = Math.log(1.15);
const SAYS: Readonly<Record<number, readonly [low: number | null, high: number | null]>> = {
  0: [-1, 1],
  1: [-3, -1],
  2: [null, -3],
  [-1]: [1, 3],
  [-2]: [3, null],
};

export interface PalateRow {
  readonly tastings: number;
  /** Mean miss of the sweetness that is wanted next, share of it. */
  readonly miss: number;
  /** Share of the 80 % intervals that hold it, and their mean width. */
  readonly inside: number;
  readonly width: number;
}

/**
 * How well what eaters want is known after so many tastings, over simulated eaters that have what the model lacks: a wish that wanders,
 * thresholds and a lean of their own, noise, and one answer in twenty at random. Sweets are made towards what is known of them.
 */
export function palateRows(eaters: number, counts: readonly number[], seed = 11): readonly PalateRow[] {
  let state = seed;
  const chance = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
  const normal = () => Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6);
  return counts.map((tastings): PalateRow => {
    const found = Array.from({ length: eaters }, () => {
      let wanted = 0.22 * normal();
      const [threshold, lean] = [NOTICED * Math.exp(0.3 * normal()), 0.03 * normal()];
      const outcomes: Outcome[] = [];
      let known = learn([])[KEY];
      for (let i = 0; i < tastings; i++) {
        wanted += 0.04 * normal();
        const made = 0.6 * (known?.ln ?? 0) + 0.15 * normal();
        const seen = (made - wanted + lean + 0.13 * normal()) / threshold;
        const plain = Math.sign(seen) * (Math.abs(seen) > 3 ? 2 : Math.abs(seen) > 1 ? 1 : 0);
        const [low, high] = SAYS[chance() < 0.05 ? Math.floor(5 * chance()) - 2 : plain] ?? [null, null];
        const end = (steps: number | null) => (steps === null ? null : made + steps * NOTICED);
        outcomes.push({ of: { [KEY]: 1 }, ln: [end(low), end(high)], sd: 0.03, at: i, batch: `${i}` });
        known = learn(outcomes)[KEY];
      }
      const next = wanted + 0.04 * normal();
      const half = Z80 * (known?.sd ?? 0.22);
      return { off: Math.abs(next - (known?.ln ?? 0)), half };
    });
    const mean = (of: (each: (typeof found)[number]) => number) => found.reduce((sum, each) => sum + of(each), 0) / eaters;
    return { tastings, miss: mean(({ off }) => off), inside: mean(({ off, half }) => Number(off <= half)), width: mean(({ half }) => 2 * half) };
  });
}

/** How well the difference that somebody just notices is known after so many pairs of the ladder. */
export interface LadderRow {
  readonly pairs: number;
  /** Mean of how far off it is, as a share; share of 80 % intervals that hold it; how many are told to be enough. */
  readonly miss: number;
  readonly inside: number;
  readonly enough: number;
}

/** Over simulated tasters whose palates differ from day to day and tire, and who err once in twenty whatever is served; what is felt is no normal of the model's own. */
export function ladderRows(tasters: number, counts: readonly number[]): readonly LadderRow[] {
  const told = (noticed: number, seed: number, pairs: number): NoticedDifference => {
    let state = seed;
    const chance = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
    const all: LadderTrial[] = [];
    let today = 1;
    for (let i = 0; i < pairs; i++) {
      const step = nextStep(all);
      // Ten pairs a day: each day is another, and the palate tires through it.
      if (i % 10 === 0) today = Math.exp(0.15 * Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6));
      const sigma = Math.log(1 + noticed * today * (1 + (0.2 * (i % 10)) / 10)) / 0.6745;
      const felt = Math.log(1 + step) + sigma * Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6);
      all.push({ step, isRight: chance() < 0.05 ? chance() < 0.5 : felt > 0 });
    }
    return noticedDifference(all);
  };
  return counts.map((pairs) => {
    const found = Array.from({ length: tasters }, (_, i) => {
      const noticed = [0.08, 0.12, 0.18, 0.28][i % 4] ?? 0.1;
      return { noticed, told: told(noticed, 1 + 7919 * i, pairs) };
    });
    const mean = (of: (each: (typeof found)[number]) => number) => found.reduce((sum, each) => sum + of(each), 0) / tasters;
    return {
      pairs,
      miss: Math.expm1(mean((each) => Math.abs(Math.log(each.told.value / each.noticed)))),
      inside: mean((each) => Number(each.noticed >= each.told.low && each.noticed <= each.told.high)),
      enough: mean((each) => Number(each.told.isEnough)),
    };
  });
}
