import { describe, expect, it } from "vitest";
import { DEVICES, type Simulation } from ".";

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
      expect(measured).toBeGreaterThanOrEqual(-0.01 * device.surroundings.most);
      expect(measured).toBeLessThanOrEqual(1.01 * device.surroundings.most);
    }
  });
});
