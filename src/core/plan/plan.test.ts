import { describe, expect, it } from "vitest";
import { breachesOf, randomPlan } from "../../../tests/support/plans";
import { clashesOf, orderProblem, planBounds, solvePlan, type PlanKitchen, type PlanProblem, type PlanTask } from ".";

const task = (id: string, minutes: number, part: Partial<PlanTask> = {}): PlanTask => ({
  id,
  sweet: "a",
  words: id,
  minutes,
  attention: "hands on",
  handsFirst: 0,
  after: [],
  within: {},
  burner: false,
  oven: false,
  noisy: false,
  tastes: false,
  fridge: 0,
  pot: null,
  ...part,
});
const TRYING = { seed: 7, goOn: () => true };
const KITCHEN: PlanKitchen = {
  cooks: 1,
  burners: 2,
  ovens: 0,
  mixers: 1,
  pans: [{ id: "p", name: "the pan", ml: 2000 }],
  fridge: null,
  quiet: [],
  away: [],
  nights: [],
  notTasting: [],
  from: -24 * 60,
};
const problem = (tasks: readonly PlanTask[], kitchen: Partial<PlanKitchen> = {}, part: Partial<PlanProblem> = {}): PlanProblem => ({
  sweets: [...new Set(tasks.map(({ sweet }) => sweet))].map((id) => ({ id, name: id, due: 0, fresh: null, best: null })),
  tasks,
  pots: [...new Set(tasks.flatMap(({ pot }) => pot ?? []))].map((id) => ({ id, ml: 1500 })),
  kitchen: { ...KITCHEN, ...kitchen },
  pinned: {},
  ...part,
});
const solved = (of: PlanProblem, rounds = 200) => solvePlan(of, { seed: 7, rounds, goOn: () => true });
const startOf = (of: PlanProblem, id: string) => solved(of).laid.placed.find((row) => row.id === id)?.start;

describe("a plan", () => {
  it("lays one after the other as late as can be, and says the bounds that are sure", () => {
    const chain = problem([
      task("soak", 480, { attention: "unattended" }),
      task("cook", 30, { after: ["soak"] }),
      task("set", 120, { attention: "unattended", after: ["cook"] }),
    ]);
    expect(
      solved(chain)
        .laid.placed.map(({ id, start }) => [id, start])
        .toSorted(),
    ).toEqual([
      ["cook", -150],
      ["set", -120],
      ["soak", -630],
    ]);
    expect(planBounds(chain)).toMatchObject({ criticalPath: 630, chain: ["soak", "cook", "set"], handsInAll: 30, latestStart: -630 });
  });
  it("uses no cook, pan or burner twice, and keeps out of quiet hours and of hours when nobody is there", () => {
    const two = [task("a", 20), task("b", 20, { sweet: "b" })];
    expect(solved(problem(two)).score).toMatchObject({ failed: 0, length: 40 });
    expect(solved(problem(two, { cooks: 2 })).score.length).toBe(20);
    const pots = [
      task("a", 30, { attention: "unattended", burner: true, pot: "a" }),
      task("b", 30, { sweet: "b", attention: "unattended", burner: true, pot: "b" }),
    ];
    expect(solved(problem(pots)).score.length).toBe(60);
    expect(startOf(problem([task("grind", 5, { noisy: true })], { quiet: [{ from: -60, to: 0 }] }), "grind")).toBe(-65);
    expect(startOf(problem([task("simmer", 30, { attention: "unattended", burner: true })], { away: [{ from: -120, to: -10 }] }), "simmer")).toBe(-150);
    expect(startOf(problem([task("taste", 1, { tastes: true })], { notTasting: [{ from: -600, to: -30 }] }), "taste")).toBe(-1);
  });
  it("keeps what was set by hand, and lays the rest around it", () => {
    const of = problem([task("a", 20), task("b", 20, { after: ["a"] })], {}, { pinned: { b: -100 } });
    expect(
      solved(of)
        .laid.placed.map(({ id, start }) => [id, start])
        .toSorted(),
    ).toEqual([
      ["a", -120],
      ["b", -100],
    ]);
  });
  it("names what is in the way, and what gives way so that it does: each of these was found to do", () => {
    const late = problem([task("soak", 600, { attention: "unattended" })], { from: -300 });
    expect(clashesOf(late, solved(late), TRYING)).toEqual([
      { task: "soak", because: "too early", ways: expect.arrayContaining([{ kind: "sooner", minutes: 360 }]) as unknown[] },
    ]);
    const large = problem([task("a", 30, { burner: true, pot: "a" })], { pans: [{ id: "p", name: "small", ml: 800 }] });
    const [clash] = clashesOf(large, solved(large), TRYING);
    expect(clash).toMatchObject({ because: "pan", ways: [{ kind: "pan", ml: 1500 }] });
    const none = problem([task("a", 30, { burner: true })], { burners: 0 });
    // Looking is ended by the one who asks: the clash is told all the same.
    expect(clashesOf(none, solved(none), { seed: 7, goOn: () => false })[0]).toMatchObject({ because: "burner", ways: [] });
    expect(clashesOf(none, solved(none), TRYING)[0]).toMatchObject({ because: "burner", ways: [{ kind: "burner" }] });
  });
  it("knows a circle, and a task that waits for what there is not", () => {
    expect(orderProblem([task("a", 1, { after: ["b"] }), task("b", 1, { after: ["a"] })])).toMatchObject({ kind: "circle" });
    expect(orderProblem([task("a", 1, { after: ["x"] })])).toEqual({ id: "a", kind: "not there" });
    expect(orderProblem(randomPlan(3).tasks)).toBeNull();
  });
  it("breaks nothing in 100 kitchens with four sweets of fifty steps, and begins no later than is possible", () => {
    let whole = 0;
    for (let seed = 1; seed <= 100; seed++) {
      const of = randomPlan(seed);
      const { laid, score, bounds } = solvePlan(of, { seed, rounds: 60, goOn: () => true });
      expect(breachesOf(of, laid.placed), `kitchen ${seed}`).toEqual([]);
      expect(laid.placed.length + laid.failed.length).toBe(50);
      if (score.failed > 0) continue;
      whole++;
      expect(Math.min(...laid.placed.map(({ start }) => start))).toBeLessThanOrEqual(bounds.latestStart + 1e-9);
    }
    expect(whole).toBeGreaterThan(85);
  });
});
