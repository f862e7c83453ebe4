import { describe, expect, it } from "vitest";
import { halwa, phirni, tableOf } from "../../../tests/support/kitchen";
import { recipeInput } from "../adaptation";
import { REFERENCE } from "../../data";
import { compareLikeness, compareLimit, evaluate, evaluatePoint, explain, PROPERTY_IDS } from "./index";

const { constants } = REFERENCE;
const figure = (value: number, half = 0) => ({ value, low: value - half, high: value + half });

describe("evaluation", () => {
  const input = recipeInput(phirni(), tableOf());
  const { figures } = evaluate(input, constants);

  it("gives every property a value inside its 80 % interval", () => {
    for (const id of PROPERTY_IDS) {
      const { value, low, high } = figures[id];
      expect([low <= value, value <= high, low >= 0, Number.isFinite(high)], id).toEqual([true, true, true, true]);
      expect(evaluatePoint(input, constants)[id].value).toBe(value);
    }
  });
  it("widens with a vaguer measure", () => {
    const vague = evaluate(
      { ...input, lines: input.lines.map((line) => (line.food.id === "sugar" ? { ...line, sd: line.grams * 0.3 } : line)) },
      constants,
    ).figures;
    expect(vague["sweetness.hot"].high - vague["sweetness.hot"].low).toBeGreaterThan(1.5 * (figures["sweetness.hot"].high - figures["sweetness.hot"].low));
    expect(vague["sweetness.hot"].value).toBe(figures["sweetness.hot"].value);
  });
  it("matches a Monte Carlo of its measures: the spread of a serving's free sugars", () => {
    // Sugar is the only source of free sugars here: 8 % of a cup as the 80 % interval, composition nearly exact.
    const { value, low, high } = figures["serving.freeSugarsUk"];
    expect((high - low) / 2 / value).toBeCloseTo(0.08, 1);
  });

  it.each([
    ["phirni", phirni],
    ["halwa", halwa],
  ])("explains every figure of the %s: the terms come to the figure", (_, recipe) => {
    const own = recipeInput(recipe(), tableOf());
    const all = evaluate(own, constants);
    for (const id of PROPERTY_IDS) {
      const working = explain(own, id, constants);
      const sum = working.terms.reduce((total, term) => total + term.value, 0);
      const mass = all.figures.yield.value;
      const expected =
        id === "yield" ? sum : id === "servingMass" || id.startsWith("serving.") ? sum / own.servings : id.startsWith("body.") ? null : (100 * sum) / mass;
      if (expected === null) continue;
      const evaporated = id === "water" ? (100 * all.sweet.evaporation) / mass : 0;
      expect(expected - evaporated, id).toBeCloseTo(all.figures[id].value, 1);
      expect(working.sources.length, id).toBeGreaterThan(0);
    }
  });
  it("explains body hot by its index X", () => {
    const working = explain(recipeInput(halwa(), tableOf()), "body.hot", constants);
    const x = working.terms.reduce((total, term) => total + term.value, 0);
    expect(10 * (1 - Math.exp(-x / 9.5))).toBeCloseTo(working.figure.value, 1);
    expect(working.rule).toBe(true);
  });
});

describe("beams", () => {
  it("tilts by the deviation and saturates below 16°", () => {
    const tilt = (now: number) => compareLikeness(figure(10), figure(now), 1.5).tilt;
    expect(tilt(10)).toBe(0);
    expect(tilt(12.5)).toBeCloseTo(16 * (1 - Math.exp(-1)), 6);
    expect(tilt(7.5)).toBeCloseTo(-tilt(12.5), 6);
    expect(tilt(1000)).toBeLessThanOrEqual(16);
  });
  it.each([
    [10.5, "inside"],
    [11.4, "just inside"],
    [11.6, "outside"],
    [8.4, "outside"],
  ] as const)("10 as handed down, %d now, wedge 1.5: %s", (now, state) => expect(compareLikeness(figure(10), figure(now), 1.5).state).toBe(state));
  it.each([
    [4, "inside"],
    [4.5, "just inside"],
    [5, "just inside"],
    [5.2, "outside"],
  ] as const)("limit 5, %d now: %s", (now, state) => expect(compareLimit(5, 5, figure(now)).state).toBe(state));
  it("is level at the limit, up below it, and says how far over", () => {
    expect(compareLimit(5, 5, figure(5)).tilt).toBeCloseTo(0);
    expect(compareLimit(5, 5, figure(3)).tilt).toBeLessThan(0);
    expect(compareLimit(5, 5, figure(6.4)).beyond).toBeCloseTo(1.4);
  });
});
