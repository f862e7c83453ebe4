import { describe, expect, it } from "vitest";
import { bySticks, minutesUntil, stoveOf, told, weighed } from "../../../tests/support/stoves";
import { forecast, gramsByStick, oddWeight, sessionOf, TABLE_RATE_SD, transition, weightsNow, type CookHappening, type CookPlan } from ".";

const MINUTE = 60_000;
const weight = (minutes: number, grams: number) => ({ at: minutes * MINUTE, grams, sd: 2, by: "scale" as const });
const QUESTION = { prior: { rate: 9, sd: TABLE_RATE_SD }, start: { at: 0, grams: 1000, sd: 30 }, solids: 0, target: 800, now: 0 };

describe("a pot that boils down", () => {
  it("goes by the table before it is weighed, and by its weights then", () => {
    const before = forecast({ ...QUESTION, weights: [] });
    expect(before.minutes?.value).toBeCloseTo(200 / 9, 0);
    // At 6 g a minute by the scale.
    const weights = [0, 5, 10].map((minutes) => weight(minutes, 1000 - 6 * minutes));
    const after = forecast({ ...QUESTION, weights, now: 10 * MINUTE });
    expect(after.rate.value).toBeGreaterThan(5.9);
    expect(after.rate.value).toBeLessThan(6.6);
    expect(after.minutes?.value).toBeGreaterThan(20);
    const width = (of: typeof before) => (of.minutes ? of.minutes.high - of.minutes.low : Infinity);
    expect(width(after)).toBeLessThan(0.6 * width(before));
  });
  it("is there where it weighs no more, and never comes to where its solids do not let it", () => {
    expect(forecast({ ...QUESTION, target: 1100, weights: [] }).minutes).toMatchObject({ value: 0 });
    expect(forecast({ ...QUESTION, solids: 600, target: 650, weights: [] }).minutes).toBeNull();
    const thick = forecast({ ...QUESTION, solids: 450, weights: [] }).minutes?.value ?? 0;
    expect(thick).toBeGreaterThan(forecast({ ...QUESTION, weights: [] }).minutes?.value ?? Infinity);
  });
  it("is not led astray by weights that rise, or by two in one moment", () => {
    for (const weights of [[weight(0, 900), weight(5, 960)], [weight(3, 900), weight(3, 900)], [weight(0, 900)]]) {
      const { minutes, rate } = forecast({ ...QUESTION, weights, now: 5 * MINUTE });
      expect(Number.isFinite(rate.value) && rate.value > 0).toBe(true);
      expect(minutes && minutes.low <= minutes.value && minutes.value <= minutes.high).toBe(true);
    }
  });
  it("reads a stick by the cylinder", () => {
    expect(gramsByStick(4, 24, 1).grams).toBeCloseTo(1809.6, 1);
  });

  it("is held against stoves that it knows nothing of: how far off, and whether the truth lies in its 80 %", () => {
    const stoves = Array.from({ length: 120 }, (_, i) => stoveOf(i + 1));
    const held = (of: (stove: (typeof stoves)[number], seed: number) => { readonly at: number; readonly weights: ReturnType<typeof weighed> }) => {
      const off: number[] = [];
      let inside = 0;
      for (const [i, stove] of stoves.entries()) {
        const { at, weights } = of(stove, i + 1);
        const { minutes } = told(stove, weights, at);
        const real = minutesUntil(stove);
        if (!minutes) throw new Error("It never comes to it.");
        off.push(Math.abs(minutes.value + at - real) / real);
        if (real >= minutes.low + at - 0.5 && real <= minutes.high + at + 0.5) inside++;
      }
      return { off: off.reduce((sum, each) => sum + each, 0) / off.length, inside: inside / off.length };
    };
    const unweighed = held(() => ({ at: 0, weights: [] }));
    const twice = held((stove, seed) => ({ at: 10, weights: weighed(stove, [0, 10], seed) }));
    const stick = held((stove, seed) => ({ at: 10, weights: bySticks(stove, [0, 10], seed, 1.05) }));
    expect(twice.off).toBeLessThan(0.1);
    expect(stick.off).toBeLessThan(unweighed.off);
    expect(twice.off).toBeLessThan(0.5 * stick.off);
    for (const { inside } of [unweighed, twice, stick]) {
      expect(inside).toBeGreaterThan(0.68);
      expect(inside).toBeLessThan(0.97);
    }
  });
});

describe("a weight of the pot that is odd", () => {
  const plan: CookPlan = {
    title: "Milk",
    label: null,
    servings: 2,
    grams: 800,
    serve: "hot",
    notFor: [],
    unread: 0,
    steps: [
      {
        id: "s1",
        text: "Simmer the milk.",
        part: null,
        minutes: { shortest: 10, usual: 20, longest: 30 },
        attention: "now and then",
        cue: null,
        cues: [],
        hazards: [],
        atOnce: null,
        isBefore: false,
        takes: [{ line: "milk", share: 1 }],
        pot: [{ line: "milk", share: 1 }],
        heat: "simmer",
        driven: 200,
        pressure: null,
      },
    ],
    lines: [{ id: "milk", food: "cow-milk", name: "Milk", grams: 1000, measure: "1 l", role: "liquid" }],
    tools: [],
  };
  let count = 0;
  const after = (...list: readonly (readonly [CookHappening, number])[]) =>
    list.reduce((now, [each, minutes]) => transition(now, { ...each, id: `e${count++}`, at: minutes * MINUTE })[0], sessionOf(plan, []));
  const weighedAt = after([{ kind: "started" }, 0], [{ kind: "weighed", grams: 1950, pan: 1000 }, 5]);
  it.each([
    ["more than all that went in", 5000, 6, /all that has gone in/],
    ["more than before", 1100, 8, /nothing went in/],
    ["less than could have boiled away", 300, 7, /lifted/],
    ["as it should be", 915, 9, null],
    ["a little more, as scales are", 960, 6, null],
  ])("is asked about: %s", (_, grams, minutes, words) => {
    const said = oddWeight(weighedAt, grams, minutes * MINUTE);
    if (words === null) expect(said).toBeNull();
    else expect(said).toMatch(words);
  });
  it("goes by the order of what happened where two devices' clocks differ", () => {
    const behind = after([{ kind: "started" }, 5], [{ kind: "weighed", grams: 1950, pan: 1000 }, 4]);
    expect(weightsNow(behind).map(({ grams }) => grams)).toEqual([950]);
    expect(weightsNow(after([{ kind: "started" }, 0], [{ kind: "weighed", grams: 1950, pan: 1000 }, 5], [{ kind: "heat", heat: "brisk" }, 6]))).toEqual([]);
  });
  it("is not odd once something went in", () => {
    const more = after(
      [{ kind: "started" }, 0],
      [{ kind: "weighed", grams: 1950, pan: 1000 }, 5],
      [{ kind: "put in", line: "milk", food: "cow-milk", name: "milk", grams: 200, word: "" }, 6],
    );
    expect(oddWeight(more, 1140, 7 * MINUTE)).toBeNull();
  });
});
