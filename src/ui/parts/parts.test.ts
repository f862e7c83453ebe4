import { nearestShade, shadeColour } from "./shades";
import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readTyped } from "./amount-field";
import { LARGE, panPositions, SMALL, swing, tiltOfShare } from "./beam-geometry";

describe("typed amounts", () => {
  it.each([
    ["12.5", 12.5],
    ["12,5", 12.5],
    [".5", 0.5],
    [" 7 ", 7],
  ])("%j is %d", (text, value) => expect(readTyped(text, 0)).toEqual({ value }));
  it.each([
    ["", /Give/],
    ["abc", /digits/],
    ["1/0", /digits/],
    ["-3", /Not below 0/],
    ["1e9", /digits/],
    ["999999999", /At most/],
    ["🙂", /digits/],
  ])("%j is refused in words", (text, why) => {
    const read = readTyped(text, 0);
    expect("why" in read ? read.why : "").toMatch(why);
  });
  it("keeps to the least", () => expect(readTyped("0", 1)).toEqual({ why: "At least 1." }));
});

describe("the beam", () => {
  it("hangs its pans level at rest, and the right one lower when the version is more", () => {
    expect(panPositions(LARGE, 0)).toEqual({ left: [LARGE.pivotX - 56, LARGE.pivotY], right: [LARGE.pivotX + 56, LARGE.pivotY] });
    for (const beam of [LARGE, SMALL]) expect(panPositions(beam, 10).right[1]).toBeGreaterThan(panPositions(beam, 10).left[1]);
  });
  it("swings out within 900 ms", () => {
    expect(swing(4, 10, 0)).toBe(14);
    expect(Math.abs(swing(4, 10, 0.9) - 4)).toBeLessThan(0.15);
  });
  it("opens the wedge by the tilt of its share", () => expect(tiltOfShare(0.25)).toBeCloseTo(16 * (1 - Math.exp(-1)), 9));
});

describe("the tokens", () => {
  const css = readFileSync("src/app/globals.css", "utf8");
  const tokens = (by: number) =>
    new Map(
      [...css.matchAll(/--color-([a-z0-9-]+):\s*(?:light-dark\((#[0-9a-f]{6}), (#[0-9a-f]{6})\)|(#[0-9a-f]{6}))/g)].map((match) => [
        match[1] ?? "",
        match[by] ?? match[4] ?? "",
      ]),
    );
  const themes = { light: tokens(2), dark: tokens(3) };
  const luminance = (hex: string) =>
    [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
      .reduce((sum, c, i) => sum + c * ([0.2126, 0.7152, 0.0722][i] ?? 0), 0);
  const contrast = (a: string, b: string) => {
    const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
    return ((x ?? 0) + 0.05) / ((y ?? 0) + 0.05);
  };

  it.each(["light", "dark"] as const)("carry text at 4.5 or more on every ground they stand on, and controls at 3 (%s)", (theme) => {
    const colour = (name: string) => themes[theme].get(name) ?? "#000000";
    for (const text of ["ink", "ink2", "ink3", "saffron", "pistachio", "rose", "brass-line"])
      for (const ground of ["ground", "sheet"]) expect(contrast(colour(text), colour(ground)), `${text} on ${ground}`).toBeGreaterThanOrEqual(4.5);
    for (const [text, wash] of [
      ["ink", "saffron-wash"],
      ["rose", "rose-wash"],
      ["ink", "pressed"],
      ["ink2", "pressed"],
      ["cloth-text", "cloth"],
      ["cloth-second", "cloth"],
      ["ink3", "saffron-wash"],
      ["sheet", "ink"],
    ] as const)
      expect(contrast(colour(text), colour(wash)), `${text} on ${wash}`).toBeGreaterThanOrEqual(4.5);
    for (const ground of ["ground", "sheet"]) expect(contrast(colour("edge"), colour(ground)), `edge on ${ground}`).toBeGreaterThanOrEqual(3);
  });
});

describe("shades", () => {
  it("finds a shade of the scale again, and says how far off a colour is that is none of it", () => {
    for (const step of [0, 0.5, 1, 2.3, 3.7, 5]) {
      const near = nearestShade(shadeColour(step));
      expect(near.step).toBeCloseTo(step, 1);
      expect(near.off).toBeLessThan(0.02);
    }
    expect(nearestShade("#1040ff").off).toBeGreaterThan(0.3);
  });
});
