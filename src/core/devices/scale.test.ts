import { describe, expect, it } from "vitest";
import { newSimulatedScale, putOn, readingOf, tareScale, tick, type SimulatedScale } from ".";

const run = (scale: SimulatedScale, seconds: number) => {
  let now = scale;
  for (let i = 0; i < seconds * 8; i++) now = tick(now, 1 / 8);
  return now;
};

describe("the simulated scale", () => {
  it("settles on its load within its noise, and says when it stands still", () => {
    const loaded = putOn(run(newSimulatedScale(7), 2), 250);
    expect(readingOf(tick(tick(loaded, 1 / 8), 1 / 8)).stable).toBe(false);
    const settled = readingOf(run(loaded, 3));
    expect(settled.stable).toBe(true);
    expect(Math.abs(settled.grams - 250)).toBeLessThanOrEqual(1);
  });
  it("takes a bowl off by tare, and shows ounces of the same", () => {
    const bowl = tareScale(run(putOn(newSimulatedScale(3), 312), 3));
    expect(readingOf(bowl).value).toBe(0);
    const filled = run(putOn(bowl, 312 + 141.7), 3);
    expect(Math.abs(readingOf(filled).value - 142)).toBeLessThanOrEqual(1);
    expect(readingOf({ ...filled, unit: "oz" })).toMatchObject({ unit: "oz", value: expect.closeTo(5, 0) as number });
  });
  it("is the same weighing for the same seed, and drifts a little over an hour", () => {
    expect(run(putOn(newSimulatedScale(11), 80), 4)).toEqual(run(putOn(newSimulatedScale(11), 80), 4));
    const hours = [1, 2, 3, 4, 5].map((seed) => Math.abs(run(newSimulatedScale(seed), 3600).drift));
    expect(Math.max(...hours)).toBeGreaterThan(0.005);
    expect(Math.max(...hours)).toBeLessThan(3);
  });
});
