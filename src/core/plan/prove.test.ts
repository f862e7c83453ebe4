import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { breachesOf, randomPlan } from "../../../tests/support/plans";
import { randomOf } from "../../../tests/support/sweets";
import { createHighsPort } from "../../workers/solver/highs-port";
import type { SolverPort } from "../numeric";
import { canProve, provePlan, solvePlan, type PlacedTask, type PlanProblem, type PlanTask } from ".";

let highs: SolverPort;
beforeAll(async () => {
  highs = createHighsPort(await loadHighs());
});
const prove = (problem: PlanProblem, placed: readonly PlacedTask[], seconds = 5) => provePlan(problem, placed, highs, { seconds, clock: () => 0 });
const solved = (problem: PlanProblem, rounds: number) => solvePlan(problem, { seed: 1, rounds, goOn: () => true });
const beginOf = (placed: readonly PlacedTask[]) => Math.min(...placed.map(({ start }) => start));

/** Four tasks of two sweets for one cook, all in tens of minutes: few enough to try every start. */
function small(seed: number): PlanProblem {
  const random = randomOf(seed);
  const tens = (most: number) => 10 * (1 + Math.floor(random() * most));
  const tasks = ["a", "a", "b", "b"].map((sweet, i): PlanTask => {
    const kind = random();
    return {
      id: `${i}`,
      sweet,
      words: "",
      minutes: tens(3),
      attention: kind < 0.5 ? "hands on" : kind < 0.8 ? "now and then" : "unattended",
      handsFirst: 0,
      after: i % 2 === 1 ? [`${i - 1}`] : [],
      within: {},
      burner: false,
      oven: random() < 0.2,
      noisy: random() < 0.3,
      tastes: false,
      fridge: 0,
      pot: null,
    };
  });
  return {
    tasks,
    sweets: ["a", "b"].map((id) => ({ id, name: id, due: 0, fresh: null, best: random() < 0.5 ? 10 : null })),
    pots: [],
    pinned: {},
    kitchen: {
      cooks: 1,
      burners: 2,
      ovens: 1,
      mixers: 1,
      pans: [],
      fridge: null,
      quiet: random() < 0.5 ? [{ from: -30, to: -10 }] : [],
      away: random() < 0.3 ? [{ from: -60, to: -40 }] : [],
      nights: [],
      notTasting: [],
      from: -160,
    },
  };
}

/** What stands in two hands, and too long, of starts; found minute by ten minutes. */
function costOf({ tasks, sweets }: PlanProblem, placed: readonly PlacedTask[]): readonly [two: number, stale: number] {
  let two = 0;
  for (let at = -160; at < 0; at += 10)
    two += 10 * Math.max(0, placed.filter(({ id, start, end }) => tasks[Number(id)]?.attention !== "unattended" && start <= at && at < end).length - 1);
  const stale = sweets.map(({ id, best }) => {
    const ends = placed.filter((row) => tasks[Number(row.id)]?.sweet === id).map(({ end }) => end);
    return best === null ? 0 : Math.max(0, -Math.max(...ends) - best);
  });
  return [two, stale.reduce((sum, each) => sum + each, 0)];
}

describe("how late a plan can begin", () => {
  it("is what trying every start comes to", async () => {
    let [later, proved] = [0, 0];
    for (let seed = 1; seed <= 12; seed++) {
      const problem = small(seed);
      const [first, second, third, fourth] = problem.tasks;
      if (!first || !second || !third || !fourth) throw new Error("four");
      // A plan that is whole, and often far from the best: what is found first.
      const found = solved(problem, 1);
      if (found.score.failed > 0) continue;
      const slots = Array.from({ length: 16 }, (_, i) => -10 * (i + 1));
      const proven = await prove(problem, found.laid.placed);
      const placed = proven.laid?.placed ?? found.laid.placed;
      expect(breachesOf(problem, placed), `${seed}`).toEqual([]);
      const [mostTwo, mostStale] = costOf(problem, placed);
      // The latest of all starts that stand no longer, with no more in two hands.
      let best = -Infinity;
      const row = ({ id, minutes }: PlanTask, start: number): PlacedTask => ({ id, start, end: start + minutes, pan: null });
      for (const a of slots)
        for (const b of slots.filter((at) => at >= a + first.minutes && at + second.minutes <= 0))
          for (const c of slots)
            for (const d of slots.filter((at) => at >= c + third.minutes && at + fourth.minutes <= 0)) {
              if (Math.min(a, c) <= best) continue;
              const tried = [row(first, a), row(second, b), row(third, c), row(fourth, d)];
              const [two, stale] = costOf(problem, tried);
              if (two <= mostTwo && stale <= mostStale && breachesOf(problem, tried).length === 0) best = Math.min(a, c);
            }
      expect(beginOf(placed), `${seed}`).toBeLessThanOrEqual(best);
      // Sure: nothing that was tried begins later than it says.
      expect(proven.latestStart, `${seed}`).toBeGreaterThanOrEqual(best);
      if (proven.latestStart === best && beginOf(placed) === best) proved++;
      if (beginOf(placed) > beginOf(found.laid.placed)) later++;
    }
    expect(later).toBeGreaterThan(0);
    expect(proved).toBeGreaterThanOrEqual(8);
  });
  it("breaks nothing in kitchens of fifty steps, and tells no less than what was found", async () => {
    for (const seed of [1, 4, 19]) {
      const problem = randomPlan(seed);
      const found = solved(problem, 60);
      const { laid, latestStart } = await prove(problem, found.laid.placed, 2);
      expect(breachesOf(problem, laid?.placed ?? [])).toEqual([]);
      expect(latestStart).toBeGreaterThanOrEqual(beginOf(laid?.placed ?? found.laid.placed));
      expect(latestStart).toBeLessThanOrEqual(found.bounds.latestStart);
    }
  });
  it("is asked of whole plans of no more than four sweets and fifty steps", () => {
    const problem = randomPlan(2);
    const { placed } = solved(problem, 20).laid;
    expect([
      canProve(problem, placed),
      canProve(problem, placed.slice(1)),
      canProve({ ...problem, tasks: [...problem.tasks, ...problem.tasks] }, placed),
    ]).toEqual([true, false, false]);
  });
});
