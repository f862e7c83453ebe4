import { describe, expect, it } from "vitest";
import { DEVICES, potWorld, type Simulation } from ".";

const run = (device: Simulation, seconds: number): Simulation => {
  let now = device;
  for (let i = 0; i < seconds * 8; i++) now = now.after(1 / 8);
  return now;
};
const press = (device: Simulation, label: string): Simulation => {
  const control = device.controls.find((each) => each.label === label);
  if (!control) throw new Error(`It has no ${label}.`);
  return control.press();
};
const { scale } = DEVICES;

describe("the simulated scale", () => {
  it("settles on its load within its noise, and says when it stands still", () => {
    const loaded = run(scale.simulate(7), 2).around(250);
    expect(loaded.after(1 / 8).after(1 / 8).reading.stable).toBe(false);
    const settled = run(loaded, 3).reading;
    expect(settled.stable).toBe(true);
    expect(Math.abs(settled.measured - 250)).toBeLessThanOrEqual(1);
  });
  it("takes a bowl off by tare, and shows ounces of the same", () => {
    const bowl = press(run(scale.simulate(3).around(312), 3), "Tare");
    expect(bowl.reading.value).toBe(0);
    const filled = run(bowl.around(312 + 141.7), 3);
    expect(Math.abs(filled.reading.value - 142)).toBeLessThanOrEqual(1);
    expect(press(filled, "Show ounces").reading).toMatchObject({ unit: "oz", value: expect.closeTo(5, 0) as number });
  });
  it("drifts a little over an hour", () => {
    const hours = [1, 2, 3, 4, 5].map((seed) => Math.abs(run(scale.simulate(seed), 3600).reading.measured));
    expect(Math.max(...hours)).toBeLessThan(3);
  });
});

describe.each(Object.entries(DEVICES))("%s", (_id, device) => {
  it("shows the same for the same seed, and never more than there can be", () => {
    const shown = (seed: number) => run(device.simulate(seed).around(device.surroundings.most / 3), 4).reading;
    expect(shown(11)).toEqual(shown(11));
    for (const around of [-1e9, 0, 1e9]) {
      const { measured } = run(device.simulate(5).around(around), 5).reading;
      expect(measured).toBeGreaterThanOrEqual(device.surroundings.least - 0.01 * device.surroundings.most);
      expect(measured).toBeLessThanOrEqual(1.01 * device.surroundings.most);
    }
  });
});

describe("the simulated pot", () => {
  const start = { contents: { water: 900, sugar: 100, starch: 60, fat: 30, other: 60 }, diameter: 24, power: 2.4, celsius: 22 };
  it("loses only what steams off, faster on a higher flame, slower under a lid and a skin", () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const pot = potWorld({ ...start, celsius: 95, seed });
      const lost = (settings: Parameters<typeof pot.set>[0]) => pot.grams - pot.set(settings).after(1200).grams;
      expect(lost({ flame: 0 })).toBeLessThan(lost({ flame: 0.4 }));
      expect(lost({ flame: 0.7 })).toBeGreaterThan(lost({ flame: 0.35 }));
      expect(lost({ flame: 0.4, lid: 0.7 })).toBeLessThan(lost({ flame: 0.4 }));
      expect(lost({ flame: 0.4, isStirred: false })).toBeLessThanOrEqual(lost({ flame: 0.4 }));
      expect(pot.set({ flame: 1 }).after(8 * 3600).grams).toBeGreaterThanOrEqual(250 - 1e-6);
    }
  });
  it("takes its time to come to the boil, never gets hotter, and cools when something cold comes in", () => {
    const pot = potWorld({ ...start, seed: 9 }).set({ flame: 0.8 });
    expect(pot.after(60).celsius).toBeLessThan(60);
    const hot = pot.after(1500);
    expect(hot.celsius).toBeGreaterThan(85);
    expect(hot.celsius).toBeLessThan(104);
    expect(hot.add({ water: 300 }).celsius).toBeLessThan(hot.celsius - 10);
    expect(hot.add({ sugar: 100 }).brix).toBeGreaterThan(hot.brix);
  });
  it("is the same for the same seed, however its seconds are cut", () => {
    const pot = potWorld({ ...start, seed: 4 }).set({ flame: 0.5 });
    expect(pot.after(600).grams).toBeCloseTo(Array.from({ length: 60 }).reduce<typeof pot>((now) => now.after(10), pot).grams, 9);
  });
});

it("shows that more lies on a scale than it can tell, and gives no figure for it", () => {
  expect(run(scale.simulate(2).around(9000), 4).reading).toMatchObject({ isOver: true, stable: false });
});
