import { describe, expect, it } from "vitest";
import { celsius, fraction, grams, minutes } from "./quantities";

describe("quantities", () => {
  it("are the numbers they are made of", () => expect([grams(0), celsius(-18), minutes(0.5), fraction(1)]).toEqual([0, -18, 0.5, 1]));
  it.each([
    ["a mass below 0", () => grams(-1)],
    ["a mass that is no number", () => grams(Number.NaN)],
    ["a temperature below absolute zero", () => celsius(-300)],
    ["a time below 0", () => minutes(-0.1)],
    ["more than the whole", () => fraction(1.01)],
  ])("refuse %s", (_what, make) => expect(make).toThrow(RangeError));
});
