import { describe, expect, it } from "vitest";
import { statedCooking } from "./cooking-time";

describe("cooking times in steps", () => {
  it.each([
    ["Simmer for 20 minutes.", 20, 0],
    ["Boil 8-10 min, stirring.", 9, 0],
    ["Cook for 1 hour. Then rest for 30 minutes.", 60, 0],
    ["Roast the semolina for 12 minutes.", 0, 0],
    ["Cover and cook for 15 minutes.", 0, 15],
    ["Chill for 3 hours.", 0, 0],
    ["Stir until thick.", 0, 0],
    ["Blend with the mango and freeze, stirring every hour for 4 hours.", 0, 0],
    ["Stir into the yogurt and hang for 6 hours.", 0, 0],
    ["Cook for 40 minutes, stirring every half hour.", 40, 0],
    ["Soak for 2 hours; then simmer 1.5 hours.", 90, 0],
  ])("%s: %d open, %d covered", (step, open, covered) => {
    const stated = statedCooking([step]);
    expect(stated.open.reduce((sum, part) => sum + part.minutes, 0)).toBe(open);
    expect(stated.coveredMinutes).toBe(covered);
  });
  it("reads the heat", () =>
    expect(statedCooking(["Simmer on a very low flame for 5 min", "Boil 5 min", "Keep at a rolling boil for 5 min"]).open.map((part) => part.heat)).toEqual([
      "steaming",
      "brisk",
      "rolling",
    ]));
});
