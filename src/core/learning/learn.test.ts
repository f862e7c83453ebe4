import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { housesAfter } from "../../../tests/support/houses";
import { BATCHES_SD, learnedKey, UNLEARNED_SD } from "../food";
import { KINDS_LEARNED, kindOf, learn, type Outcome } from ".";

const RICE = learnedKey.body("hot", "rice");
const PAN = learnedKey.rate({ name: "the pan", diameter: 24 }, { name: "big" });
const outcome = (key: string, ln: Outcome["ln"], at: number, sd = 0): Outcome => ({ of: { [key]: 1 }, ln, sd, at, batch: `b${at}` });

describe("what batches teach", () => {
  it("is nothing without them, and as sure as the models say after one and three", () => {
    expect(learn([])).toEqual({});
    // 0.20 before, 0.14 after one log, 0.10 after three.
    expect(learn([outcome(RICE, 0.2, 1)])[RICE]).toMatchObject({ batches: 1, ln: expect.closeTo(0.1, 6) as number, sd: expect.closeTo(0.1414, 4) as number });
    expect(learn([1, 2, 3].map((at) => outcome(RICE, 0.2, at)))[RICE]).toMatchObject({
      batches: 3,
      ln: expect.closeTo(0.15, 6) as number,
      sd: expect.closeTo(0.1, 6) as number,
    });
    // Binding: about 0.10 after one that binds.
    const flour = learnedKey.binding("besan");
    const bound = learn([outcome(flour, [Math.log(1 / 1.15), Math.log(1 / 0.85)], 1)])[flour];
    expect(bound?.sd).toBeGreaterThan(0.09);
    expect(bound?.sd).toBeLessThan(0.13);
  });
  it("does not go by their order, and comes to what they say the more there are of them", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { minLength: 1, maxLength: 12 }), (values) => {
        const outcomes = values.map((ln, at) => outcome(PAN, ln, at, 0.1));
        const [forth, back] = [outcomes, [...outcomes].reverse()].map((list) => learn(list)[PAN]);
        expect(forth?.ln).toBeCloseTo(back?.ln ?? NaN, 9);
        expect(forth?.sd).toBeCloseTo(back?.sd ?? NaN, 9);
        const { ln = NaN, sd = NaN } = forth ?? {};
        expect(ln).toBeGreaterThanOrEqual(Math.min(0, ...values) - 1e-9);
        expect(ln).toBeLessThanOrEqual(Math.max(0, ...values) + 1e-9);
        // Never surer of the next batch than batches of one house are alike, and never less sure than before by much.
        expect(sd).toBeGreaterThan(0.5 * BATCHES_SD.rate);
        expect(sd).toBeLessThan(1.5 * Math.hypot(UNLEARNED_SD.rate, BATCHES_SD.rate));
      }),
    );
    const many = learn(Array.from({ length: 40 }, (_, at) => outcome(PAN, 0.3, at, 0.05)))[PAN];
    expect(many?.ln).toBeCloseTo(0.3, 1);
    expect(many?.sd).toBeLessThan(BATCHES_SD.rate);
  });
  it("learns how much batches differ too", () => {
    const sdOf = (values: readonly number[]) => learn(values.map((ln, at) => outcome(PAN, ln, at, 0.03)))[PAN]?.sd ?? NaN;
    expect(sdOf([0.4, -0.4, 0.5, -0.5, 0.4, -0.4, 0.5, -0.5])).toBeGreaterThan(1.5 * sdOf([0, 0, 0, 0, 0, 0, 0, 0]));
  });
  it("counts a batch that is far off for less, and one that only says between what it lies as far as that goes", () => {
    const usual = [1, 2, 3, 4].map((at) => outcome(PAN, 0.1, at, 0.1));
    const shift = (ln: number) => (learn([...usual, outcome(PAN, ln, 5, 0.1)])[PAN]?.ln ?? NaN) - (learn(usual)[PAN]?.ln ?? NaN);
    expect(shift(3)).toBeLessThan(10 * shift(0.4));
    const within = (low: number | null, high: number | null) => learn([outcome(PAN, [low, high], 1)])[PAN];
    expect(within(-5, 5)?.ln).toBeCloseTo(0, 3);
    expect(within(-0.1, 0.1)?.sd).toBeLessThan(within(-0.6, 0.6)?.sd ?? 0);
    expect(within(0.2, null)?.ln).toBeGreaterThan(0.2);
    expect(within(null, -0.2)?.ln).toBeCloseTo(-(within(0.2, null)?.ln ?? NaN), 6);
    for (const odd of [within(60, 70), within(-70, -60)]) expect(Number.isFinite(odd?.ln) && Number.isFinite(odd?.sd)).toBe(true);
  });
  it("shares an outcome out among what it is of, the most to what it is most of", () => {
    const wheat = learnedKey.body("hot", "wheat");
    const both = learn([{ of: { [RICE]: 0.8, [wheat]: 0.2 }, ln: 0.2, sd: 0, at: 1, batch: "b" }]);
    expect(both[RICE]?.ln).toBeGreaterThan(3 * (both[wheat]?.ln ?? 0));
    // What it is hardly of is not said to be learned of it.
    expect(both[wheat]).toBeUndefined();
    expect(both[RICE]?.batches).toBe(1);
  });
  it("forgets what came before it is learned anew, and knows no key that is none", () => {
    const outcomes = [outcome(PAN, 0.3, 10, 0.1), outcome(RICE, 0.2, 10), outcome(PAN, -0.2, 30, 0.1), outcome("odd/thing", 1, 1)];
    const anew = learn(outcomes, { anew: { [PAN]: 20 } });
    expect(anew[PAN]).toMatchObject({ batches: 1 });
    expect(anew[PAN]?.ln).toBeLessThan(0);
    expect(Object.keys(anew).sort()).toEqual([RICE, PAN].sort());
    expect(kindOf("odd/thing")).toBeNull();
    expect(Object.keys(KINDS_LEARNED)).toContain(kindOf(PAN));
  });
});

describe("houses that no model knows", () => {
  const found = housesAfter(24, [0, 1, 3]);
  const at = (batches: number) => {
    const judged = found.get(batches);
    if (!judged) throw new Error("Not judged.");
    return judged;
  };
  it.each(["minutes", "grams", "body", "binding"] as const)("are told of better after their own batches: %s", (measure) => {
    const [before, one, three] = [at(0)[measure], at(1)[measure], at(3)[measure]];
    expect(one.off).toBeLessThan(0.85 * before.off);
    expect(three.off).toBeLessThan(0.7 * before.off);
    expect(three.width).toBeLessThan(before.width);
    // 24 houses: 80 % of them, give or take three in ten.
    for (const { inside } of [before, one, three]) expect(inside).toBeGreaterThan(0.55);
  });
});
