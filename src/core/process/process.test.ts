import { describe, expect, it } from "vitest";
import { gelatinisedShare } from ".";

describe("gelatinisation", () => {
  it("reaches 63 % at one time constant and never passes 1", () => {
    expect(gelatinisedShare(12, 12)).toBeCloseTo(0.632, 3);
    expect(gelatinisedShare(1e6, 12)).toBeLessThanOrEqual(1);
    expect(gelatinisedShare(-5, 12)).toBe(0);
  });
});
