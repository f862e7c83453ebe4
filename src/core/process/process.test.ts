import { describe, expect, it } from "vitest";
import { minutes } from "../units";
import { gelatinisedShare } from ".";

describe("gelatinisation", () => {
  it("reaches 63 % at one time constant and never passes 1", () => {
    expect(gelatinisedShare(minutes(12), minutes(12))).toBeCloseTo(0.632, 3);
    expect(gelatinisedShare(minutes(1e6), minutes(12))).toBeLessThanOrEqual(1);
    expect(gelatinisedShare(minutes(0), minutes(12))).toBe(0);
  });
});
