import { describe, expect, it } from "vitest";
import { ladderRows } from "../../../tests/support/tasters";
import { kitchenOf } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import { chanceOf } from "./chance";
import { momentAt } from "./stop-in-time";
import { eyeOf, guessGrams, LADDER_STEPS, ladderPair, mended, NOTHING_DONE, noticedDifference, stopInTime, stopped, sugarFor, wentWrong, type Doses } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const SEEDS = Array.from({ length: 80 }, (_, i) => 7919 * i - 40_000);
const there = <T>(of: T | null): T => {
  if (of === null) throw new Error("nothing was drawn");
  return of;
};

describe("stop in time", () => {
  it("is another pot for each seed, and right where it is stopped when it should be, whatever the stove does", () => {
    const pots = SEEDS.map((seed) => there(stopInTime(seed, kitchen)));
    expect(new Set(pots.map(({ pot, best }) => `${pot.liquid.id} ${pot.thickener.id} ${pot.sweetener.id} ${best}`)).size).toBe(SEEDS.length);
    expect(new Set(pots.map(({ pot }) => pot.thickener.id)).size).toBeGreaterThan(8);
    for (const [i, task] of pots.entries()) {
      expect(task.best, `${SEEDS[i]}`).toBeGreaterThan(3);
      expect(Math.abs(there(stopped(task, task.best, kitchen)).miss)).toBeLessThan(0.15);
      expect(there(stopped(task, task.best / 2, kitchen)).miss).toBeLessThan(0);
      expect(there(stopped(task, 1.5 * task.best, kitchen)).miss).toBeGreaterThan(0);
      for (const [k, { cold, grams }] of task.moments.entries()) {
        expect(cold).toBeGreaterThanOrEqual((task.moments[k - 1]?.cold ?? 0) - 1e-9);
        expect(grams).toBeLessThanOrEqual(task.moments[k - 1]?.grams ?? Infinity);
      }
      expect(task).toEqual(stopInTime(SEEDS[i] ?? 0, kitchen));
    }
  });
  it("stands still outside of what is worked out", () => {
    const { moments } = there(stopInTime(1, kitchen));
    expect(momentAt(moments, -5)?.grams).toBe(moments[0]?.grams);
    expect(momentAt(moments, 1e6)?.grams).toBe(moments.at(-1)?.grams);
    expect(momentAt([], 1)).toBeNull();
  });
});

describe("what went wrong", () => {
  it("is noticed, and mended by undoing what happened", () => {
    const causes = new Set<string>();
    for (const seed of SEEDS) {
      const story = there(wentWrong(seed, kitchen));
      const { pot, grams, driven, cause } = story;
      causes.add(cause.split(" ").slice(0, 2).join(" "));
      const left = mended(story, NOTHING_DONE, kitchen);
      expect(left.miss, `${seed}`).toBeGreaterThan(1.2);
      expect(left.after).toEqual(story.now);
      expect(left.best?.miss ?? left.miss).toBeLessThanOrEqual(left.miss);
      // What is missing is put in; what is too much of one is made up by more of all others.
      const factor = Math.max(grams.liquid / pot.grams.liquid, grams.sweetener / pot.grams.sweetener, grams.thickener / pot.grams.thickener);
      const thickener = factor * pot.grams.thickener - grams.thickener;
      const more: Doses = {
        thickener,
        sweetener: factor * pot.grams.sweetener - grams.sweetener,
        liquid: Math.max(0, factor * pot.grams.liquid - grams.liquid - 2 * thickener),
        "boil off": Math.max(0, factor * pot.driven - driven),
      };
      if (driven <= pot.driven) expect(mended(story, more, kitchen).miss, `${seed} ${cause}`).toBeLessThan(0.75);
    }
    expect(causes.size).toBeGreaterThanOrEqual(5);
  });
});

describe("guess the grams", () => {
  it("draws foods in shapes that they can have, of what a kitchen weighs", () => {
    const foods = [...kitchen.reference.foods.values()];
    const shapes = new Set<string>();
    for (const seed of SEEDS) {
      const { food, drawn, grams, share } = there(guessGrams(seed, foods, kitchen));
      shapes.add(drawn.shape);
      expect(grams, food.id).toBeGreaterThan(0.2);
      expect(grams, food.id).toBeLessThan(400);
      expect(share).toBeLessThan(0.4);
      expect(food.density).not.toBeNull();
    }
    expect(shapes).toEqual(new Set(["heap", "spoon", "balls"]));
    expect(guessGrams(1, [], kitchen)).toBeNull();
  });
  it("finds how an eye leans and scatters, and offers it once there are enough guesses", () => {
    const chance = chanceOf(3);
    const normal = () => Array.from({ length: 12 }, () => chance.between(-0.5, 0.5)).reduce((sum, each) => sum + each, 0);
    const guesses = Array.from({ length: 200 }, () => ({ food: "jaggery", ln: Math.log(1.2) + 0.1 * normal() }));
    const [eye] = eyeOf([...guesses, { food: "sugar", ln: 0.1 }, { food: "sugar", ln: Infinity }]);
    expect(eye?.leans).toBeCloseTo(0.2, 1);
    // In 80 % of guesses it is off by no more.
    const inside = guesses.filter(({ ln }) => Math.abs(ln) <= Math.log(1 + (eye?.share ?? 0))).length / guesses.length;
    expect(inside).toBeGreaterThan(0.7);
    expect(inside).toBeLessThan(0.92);
    expect([eyeOf(guesses)[0]?.isEnough, eyeOf(guesses.map(({ food, ln }) => ({ food, ln: 3 * ln })))[0]?.isEnough]).toEqual([true, false]);
    expect(eyeOf(guesses.slice(0, 3))[0]?.isEnough).toBe(false);
    expect(eyeOf([])).toEqual([]);
  });
});

describe("the palate ladder", () => {
  it("finds what somebody just notices: nearer with every session, and the truth within its interval", () => {
    const [none, some, many] = ladderRows(60, [0, 10, 40]);
    if (!none || !some || !many) throw new Error("three rows");
    expect(none.enough + some.enough).toBe(0);
    expect(many.miss).toBeLessThan(some.miss);
    expect(many.miss).toBeLessThan(0.45);
    expect(many.inside).toBeGreaterThan(0.65);
    expect(many.enough).toBeGreaterThan(0.5);
  });
  it("says what it does not know: nothing before the first pair, no fixed figure from guesses, a small one only where small steps are told", () => {
    expect(noticedDifference([])).toMatchObject({ isEnough: false, words: "Nothing is known yet." });
    const guesses = Array.from({ length: 40 }, (_, i) => ({ step: LADDER_STEPS[i % 5] ?? 0.1, isRight: i % 2 === 0 }));
    const told = noticedDifference(guesses);
    expect(told.low).toBeGreaterThan(0.25);
    const all = noticedDifference(Array.from({ length: 40 }, () => ({ step: 0.05, isRight: true })));
    expect(all.high).toBeLessThan(0.06);
  });
  it("is served by codes of which either is the sweeter, weighed to the gram", () => {
    const pairs = SEEDS.map((seed) => ladderPair(0.1, seed));
    for (const { cups, sweeter } of pairs) {
      expect(cups[0]).not.toBe(cups[1]);
      expect(cups).toContain(sweeter);
      for (const cup of cups) expect(cup).toMatch(/^\d{3}$/);
    }
    const first = pairs.filter(({ cups, sweeter }) => cups[0] === sweeter).length;
    expect(first).toBeGreaterThan(25);
    expect(first).toBeLessThan(55);
    expect(sugarFor(0, 250)).toEqual({ sugar: 12.5, water: 237.5 });
    expect(sugarFor(0.2, 250).sugar).toBeCloseTo(15, 9);
  });
});
