import { describe, expect, it } from "vitest";
import { CONSTANTS } from "../../../data/constants";
import { keepingOf, KEEPING_KINDS, WATER_ACTIVITY_SUMS, waterActivityWithSlopes, type WaterActivitySums } from "./index";

const NONE = Object.fromEntries(WATER_ACTIVITY_SUMS.map((sum) => [sum, 0])) as unknown as WaterActivitySums;
const activity = (sums: Partial<WaterActivitySums>) => waterActivityWithSlopes({ ...NONE, ...sums }, CONSTANTS);

describe("water activity", () => {
  it.each([
    ["a saturated sucrose solution", { sucrose: 207, water: 100 }, 0.845, 0.85],
    ["honey: fructose and glucose 69, maltose 7, sucrose 1.3 in 17.1", { hexoses: 69, maltose: 7, sucrose: 1.3, water: 17.1 }, 0.553, 0.573],
    ["condensed milk", { water: 27.2, sucrose: 43, lactose: 11.4, protein: 7.9, ash: 1.8 }, 0.82, 0.86],
    ["milk", { water: 86.6, lactose: 4.9, protein: 3.3, ash: 0.7 }, 0.99, 0.998],
    ["dates", { water: 22, hexoses: 66.1, protein: 2, fibre: 6.5, ash: 1.9 }, 0.6, 0.68],
    ["jaggery, its crystals out of solution", { water: 5, sucrose: 80, hexoses: 8, protein: 0.5, ash: 2.5 }, 0.58, 0.7],
  ] as const)("%s", (_, sums, low, high) => {
    expect(activity(sums).value).toBeGreaterThanOrEqual(low);
    expect(activity(sums).value).toBeLessThanOrEqual(high);
  });
  it.each([
    ["a syrup", { sucrose: 120, hexoses: 20, water: 100, protein: 5, starch: 30, fibre: 3, ash: 2 }],
    ["with crystals, beside invert sugar", { sucrose: 300, hexoses: 60, water: 60, protein: 5, starch: 30, fibre: 3, ash: 2, lactose: 40 }],
    [
      "with crystals, at the least that dissolves",
      { sucrose: 300, hexoses: 400, water: 60, protein: 5, starch: 30, fibre: 3, ash: 2, erythritol: 9, xylitol: 3 },
    ],
  ])("moves as its slopes say: %s", (_, sums) => {
    const all = { ...NONE, ...sums };
    const { slopes } = activity(all);
    for (const sum of WATER_ACTIVITY_SUMS) {
      const step = 1e-4;
      const moved =
        (activity({ ...all, [sum]: all[sum] + step }).value - activity({ ...all, [sum]: Math.max(0, all[sum] - step) }).value) /
        (all[sum] > 0 ? 2 * step : step);
      expect(slopes[sum], sum).toBeCloseTo(moved, 5);
    }
  });
  it("is that of its starch where all the sugar is dry and starch could hold more: icing sugar keeps", () => {
    const icing = activity({ water: 0.23, sucrose: 97.8, starch: 2 });
    expect(icing.value).toBeLessThan(0.5);
    expect(icing.slopes.water).toBeGreaterThan(0);
    expect(icing.slopes.starch).toBeLessThan(0);
  });
  it("is an answer for what holds no water, and for water alone", () => {
    expect(activity({}).value).toBe(0);
    expect(activity({ water: 100 }).value).toBeCloseTo(1, 6);
    expect(Number.isFinite(activity({ water: 1e-6, sucrose: 500, starch: 100 }).value)).toBe(true);
  });
});

describe("keeping", () => {
  const at = (value: number) => ({ value, low: value - 0.03, high: value + 0.03 });
  it("is never longer than its kind allows, nor than its water activity does at the upper end of it", () => {
    for (const kind of KEEPING_KINDS) {
      let before = { roomDays: Infinity, fridgeDays: Infinity };
      for (let value = 0.3; value <= 1; value += 0.01) {
        const kept = keepingOf(kind, at(value), CONSTANTS);
        const cap = CONSTANTS.keeping.value.kinds[kind];
        expect(kept.roomDays).toBeLessThanOrEqual(Math.min(cap?.room ?? 0, before.roomDays));
        expect(kept.fridgeDays).toBeLessThanOrEqual(Math.min(cap?.fridge ?? 0, before.fridgeDays));
        before = kept;
      }
    }
    expect(keepingOf("loose, roasted", at(0.45), CONSTANTS)).toMatchObject({ roomDays: 15, fridgeDays: 30, by: "kind" });
    expect(keepingOf("loose, roasted", at(0.86), CONSTANTS)).toMatchObject({ roomDays: 0, fridgeDays: 7, by: "water activity" });
  });
});
