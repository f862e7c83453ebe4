import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fail, interpolate, interval, relativeHalfWidth, succeed, withShare, Z80 } from "./index";

describe("intervals", () => {
  it("hold the central 80 %: a share becomes its half width", () => {
    const figure = interval(withShare(100, 0.08));
    expect([figure.low, figure.high].map((x) => Number(x.toFixed(6)))).toEqual([92, 108]);
    expect(relativeHalfWidth(figure)).toBeCloseTo(0.08, 9);
  });
  it("count eight draws in ten of a normal distribution inside", () => {
    // Sum of twelve uniform numbers from a fixed generator: near enough to normal.
    let state = 42;
    const next = () => (state = (state * 1664525 + 1013904223) >>> 0) / 2 ** 32;
    let inside = 0;
    for (let i = 0; i < 20_000; i++) {
      const draw = Array.from({ length: 12 }, next).reduce((sum, x) => sum + x, -6);
      if (Math.abs(draw) <= Z80) inside++;
    }
    expect(inside / 20_000).toBeCloseTo(0.8, 1);
  });
  it("never pass their floor and ceiling", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 50, noNaN: true }), (value, sd) => {
        const { low, high } = interval({ value, sd }, 0, 10);
        expect(low >= 0 && high <= 10 && low <= value && value <= high).toBe(true);
      }),
    );
  });
});

describe("interpolation", () => {
  const points = [
    [0, 0],
    [10, 1],
    [20, 5],
  ] as const;
  it.each([
    [-5, 0],
    [0, 0],
    [5, 0.5],
    [10, 1],
    [15, 3],
    [99, 5],
  ])("at %d is %d", (x, y) => expect(interpolate(points, x)).toBe(y));
  it("of nothing is 0", () => expect(interpolate([], 3)).toBe(0));
});

it("results say which they are", () => {
  expect(succeed(1)).toEqual({ ok: true, value: 1 });
  expect(fail("no")).toEqual({ ok: false, error: "no" });
});
