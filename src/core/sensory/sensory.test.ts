import fc from "fast-check";
import { HyperFormula } from "hyperformula";
import { describe, expect, it } from "vitest";
import {
  asked,
  counted,
  isAllOneEnd,
  penalties,
  rightNeeded,
  stepWords,
  STEPS,
  testsNeeded,
  triangleResult,
  triangleFinds,
  triangleServings,
  triangleTold,
  type Step,
  type TastingAnswer,
} from ".";

const answer = (sweetness: Step | null, liking: number | null, part: TastingAnswer["steps"] = {}): TastingAnswer => ({
  steps: sweetness === null ? part : { ...part, sweetness },
  liking,
  word: "",
});

describe("what is asked", () => {
  it("is of a spooned sweet its body and grain, of a shaped one how it holds", () => {
    expect(asked(false)).toEqual(["sweetness", "body", "richness", "aroma", "grain"]);
    expect(asked(true)).toEqual(["sweetness", "richness", "aroma", "binding"]);
  });
  it("has a word for each of five steps", () => {
    expect(STEPS.map((step) => stepWords("sweetness", step))).toEqual([
      "not nearly sweet enough",
      "not quite sweet enough",
      "just right",
      "a little too sweet",
      "much too sweet",
    ]);
    expect(stepWords("body", -2)).toBe("much too thin");
  });
  it("is counted plainly, of those who answered it", () => {
    expect(counted([answer(-1, 6), answer(0, 8), answer(2, null), answer(null, 5), answer(1, 4, { aroma: 0 })])).toEqual([
      { attribute: "sweetness", little: 1, right: 1, much: 2 },
      { attribute: "aroma", little: 0, right: 1, much: 0 },
    ]);
    expect(counted([])).toEqual([]);
  });
  it("is noticed where somebody says the same end of everything", () => {
    expect(isAllOneEnd(answer(2, 1, { body: 2, aroma: 2 }))).toBe(true);
    expect(isAllOneEnd(answer(2, 1, { body: 2 }))).toBe(false);
    expect(isAllOneEnd(answer(2, 1, { body: -2, aroma: 2 }))).toBe(false);
  });
});

describe("penalties", () => {
  const many = (right: number, little: number, drop: number) => [
    ...Array.from({ length: right }, (_, i) => answer(0, 7 + (i % 2))),
    ...Array.from({ length: little }, (_, i) => answer(-1, 7 - drop + (i % 2))),
  ];
  it("are told from twenty answers on, of an end that enough chose", () => {
    expect(penalties(many(12, 7, 2))).toEqual([]);
    expect(penalties(many(18, 3, 2))).toEqual([]);
    const [told, ...more] = penalties(many(12, 8, 2));
    expect(more).toEqual([]);
    expect(told).toMatchObject({ attribute: "sweetness", end: "too little", share: 0.4, answers: 20 });
    expect(told?.drop.value).toBeCloseTo(2, 9);
    expect(told?.drop.low).toBeGreaterThan(1.5);
    expect(told?.drop.high).toBeLessThan(2.5);
  });
  it("hold what is true eight times in ten", () => {
    // A drop of 1.2 in the mean, in answers that are rounded and differ by 1.4: nothing of that is in the analysis.
    let inside = 0;
    const RUNS = 400;
    let seed = 7;
    const chance = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
    const normal = () => Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6);
    for (let run = 0; run < RUNS; run++) {
      const liking = (mean: number) => Math.max(1, Math.min(9, Math.round(mean + 1.4 * normal())));
      const all = Array.from({ length: 40 }, (_, i) => (i % 5 < 2 ? answer(1, liking(5.3)) : answer(0, liking(6.5))));
      const [told] = penalties(all);
      if (told && told.drop.low <= 1.2 && told.drop.high >= 1.2) inside++;
    }
    expect(inside / RUNS).toBeGreaterThan(0.74);
    expect(inside / RUNS).toBeLessThan(0.87);
  });
});

describe("a triangle test", () => {
  it.each([
    [12, 8],
    [24, 13],
    [30, 15],
    [6, 5],
    [18, 10],
    [36, 18],
    [60, 27],
  ])("of %i needs %i right at 5 %%, as published", (tests, right) => expect(rightNeeded(tests)).toBe(right));
  it("shows nothing with fewer than three", () => {
    expect(rightNeeded(2)).toBeNull();
    expect(rightNeeded(3)).toBe(3);
  });
  it("has the probabilities that another implementation has", () => {
    const sheet = HyperFormula.buildFromArray([[]], { licenseKey: "gpl-v3" });
    for (const [tests, right] of [
      [3, 3],
      [12, 8],
      [17, 4],
      [30, 15],
      [100, 42],
      [200, 60],
    ] as const) {
      sheet.setCellContents({ sheet: 0, row: 0, col: 0 }, `=1-BINOM.DIST(${right - 1},${tests},1/3,TRUE())`);
      expect(triangleResult(right, tests).p).toBeCloseTo(Number(sheet.getCellValue({ sheet: 0, row: 0, col: 0 })), 9);
    }
    sheet.destroy();
    expect(triangleResult(0, 12).p).toBe(1);
  });
  it("limits who can tell: at that limit so few right answers come once in twenty", () => {
    for (const [right, tests] of [
      [4, 12],
      [9, 24],
      [30, 60],
    ] as const) {
      const { tellAtMost } = triangleResult(right, tests);
      const sheet = HyperFormula.buildFromArray([[`=BINOM.DIST(${right},${tests},${tellAtMost + (1 - tellAtMost) / 3},TRUE())`]], { licenseKey: "gpl-v3" });
      expect(Number(sheet.getCellValue({ sheet: 0, row: 0, col: 0 }))).toBeCloseTo(0.05, 6);
      sheet.destroy();
    }
    expect(triangleResult(12, 12).tellAtMost).toBe(1);
    expect(triangleResult(0, 60).tellAtMost).toBe(0);
  });
  it("says how many are needed: that many see it, one fewer does not always", () => {
    for (const [tell, missed] of [
      [0.5, 0.2],
      [0.4, 0.1],
      [0.3, 0.2],
    ] as const) {
      const tests = testsNeeded(tell, missed) ?? 0;
      const chance = tell + (1 - tell) / 3;
      const sees = (of: number) => {
        const sheet = HyperFormula.buildFromArray([[`=1-BINOM.DIST(${(rightNeeded(of) ?? of + 1) - 1},${of},${chance},TRUE())`]], { licenseKey: "gpl-v3" });
        const value = Number(sheet.getCellValue({ sheet: 0, row: 0, col: 0 }));
        sheet.destroy();
        return value;
      };
      for (let of = tests; of < tests + 8; of++) expect(sees(of)).toBeGreaterThanOrEqual(1 - missed - 1e-9);
      expect(sees(tests - 1)).toBeLessThan(1 - missed);
    }
    expect(testsNeeded(0.05)).toBeNull();
  });
  it("says how many are needed to show that hardly anybody can: by the limits that it would tell", () => {
    for (const tell of [0.3, 0.4, 0.5]) {
      const tests = testsNeeded(tell, 0.2, "alike") ?? 0;
      // By trying all: how likely those counts are, where nobody can tell, whose limit is no more than that.
      const shows = (of: number) =>
        Array.from({ length: of + 1 }, (_, right) =>
          triangleResult(right, of).tellAtMost <= tell ? triangleResult(right, of).p - (triangleResult(right + 1, of).p || 0) : 0,
        ).reduce((sum, each) => sum + each, 0);
      expect(shows(tests)).toBeGreaterThanOrEqual(0.8);
      expect(shows(tests - 1)).toBeLessThan(0.8);
      expect(triangleFinds("alike", tests, tell)).toBeCloseTo(shows(tests), 6);
    }
  });
  it("is told no further than the answers go", () => {
    const said = (right: number, wrong: number, people = right + wrong) =>
      Array.from({ length: right + wrong }, (_, i) => ({ name: `${i % people}`, isRight: i < right, saw: false }));
    const different = { aim: "different", tell: 0.5, planned: 12 } as const;
    expect(triangleTold(said(8, 4), different)).toMatchObject({ isShown: true, but: [] });
    expect(triangleTold(said(7, 5), different)).toMatchObject({
      isShown: false,
      verdict: expect.stringContaining("does not show that they are alike") as string,
    });
    // Of few who answered often it is told of them, not of all who eat it.
    const alike = { aim: "alike", tell: 0.4, planned: 40 } as const;
    expect(triangleTold(said(11, 29), alike).verdict).toMatch(/^As good as alike: no more than \d+ % can tell/);
    expect(triangleTold(said(11, 29, 2), alike).verdict).toMatch(/^As good as alike to those who tasted: they tell no more than \d+ % of such cups/);
    // Alike by far too few answers.
    expect(triangleTold(said(2, 4), { aim: "alike", tell: 0.3, planned: 6 }).isShown).toBe(false);
    expect(triangleTold([], different)).toMatchObject({ isShown: false, tests: 0 });
    expect(triangleTold(said(2, 0), different)).toMatchObject({ isShown: false, rests: expect.stringContaining("show nothing") as string });
    // Who saw the codes does not count, who answered more than once is one, and what ended early says so.
    const [first, ...others] = said(8, 3, 4);
    const told = triangleTold([{ ...(first ?? { name: "", isRight: true }), saw: true }, ...others], different);
    expect(told).toMatchObject({ tests: 10, right: 7 });
    expect(told.but.map((each) => each.split(" ")[0])).toEqual(["An", "It", "4"]);
  });
  it("is served in balanced orders by codes that say nothing, the same for a seed", () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer(), (tests, seed) => {
        const served = triangleServings(tests, seed);
        expect(served).toEqual(triangleServings(tests, seed));
        expect(served.length).toBe(tests);
        const codes = served.flatMap(({ cups }) => cups.map(({ code }) => code));
        expect(new Set(codes).size).toBe(3 * tests);
        for (const code of codes) expect(code).toMatch(/^[1-9]\d\d$/);
        const orders = new Map<string, number>();
        for (const { cups, odd } of served) {
          const order = cups.map(({ sample }) => sample).join("");
          orders.set(order, (orders.get(order) ?? 0) + 1);
          const other = cups.find(({ code }) => code === odd)?.sample;
          expect(cups.filter(({ sample }) => sample === other).length).toBe(1);
        }
        const times = ["ABB", "BAA", "AAB", "BBA", "ABA", "BAB"].map((order) => orders.get(order) ?? 0);
        expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    ));
});
