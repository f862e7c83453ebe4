import { describe, expect, it } from "vitest";
import { formatChange, formatGrams, formatToSpread } from "./format";

describe("figures as text", () => {
  it.each([
    [12.345, 1.2, "12"],
    [12.345, 0.3, "12.3"],
    [1762.4, 130, "1,762"],
    [0.0372, 0.004, "0.037"],
    [0, 1, "0"],
    [5.96, 0.02, "5.96"],
  ])("%d ± %d is %s", (value, half, text) => expect(formatToSpread(value, half)).toBe(text));
  it.each([
    [0.016, "0.016"],
    [0.368, "0.4"],
    [3, "3"],
    [167.04, "167"],
    [1030.2, "1,030"],
    [742.5, "745"],
  ])("%d g is %s", (grams, text) => expect(formatGrams(grams)).toBe(text));
  it.each([
    [0.124, "+12 %"],
    [-0.09, "−9 %"],
    [0.003, "0 %"],
  ])("a change of %d is %s", (share, text) => expect(formatChange(share)).toBe(text));
  it("says so where there is no number", () => expect(formatToSpread(Number.NaN, 1)).toBe("unknown"));
});
