import { describe, expect, it } from "vitest";
import { REFERENCE } from "../../data";
import { energyKilojoules } from "./energy";
import { foodFacts, nutrientFigure, nutrientUnit } from "./facts";
import { INDEX, NUTRIENTS } from "./nutrients";

const { constants, foods } = REFERENCE;

describe("what a food page says", () => {
  it("is of every food the energy of its composition, and sums with an interval around them", () => {
    for (const food of foods.values()) {
      const { energy, sugars, fibre, polyols } = foodFacts(food, constants);
      expect(energy.value, food.name).toBeCloseTo(energyKilojoules(food.per100g, constants.energyPerGram.value), 6);
      for (const figure of [energy, sugars, fibre, polyols, ...NUTRIENTS.map((nutrient) => nutrientFigure(food, nutrient))]) {
        expect(figure.low, food.name).toBeGreaterThanOrEqual(0);
        expect(figure.low).toBeLessThanOrEqual(figure.value);
        expect(figure.high).toBeGreaterThanOrEqual(figure.value);
      }
      expect(sugars.value).toBeLessThanOrEqual(100);
    }
  });
  it("adds independent spreads in quadrature", () => {
    const sd = NUTRIENTS.map(() => 0);
    sd[INDEX.solubleFibre] = 0.3;
    sd[INDEX.insolubleFibre] = 0.4;
    const per100g = NUTRIENTS.map(() => 10);
    const [some] = foods.values();
    if (!some) throw new Error("no foods");
    const { fibre } = foodFacts({ ...some, per100g, sd }, constants);
    expect(fibre.value).toBe(20);
    expect(fibre.high - fibre.value).toBeCloseTo(1.2815515655 * 0.5, 6);
  });
  it("gives minerals in mg and the rest in g", () =>
    expect([nutrientUnit("iron"), nutrientUnit("sodium"), nutrientUnit("fructose")]).toEqual(["mg", "mg", "g"]));
});
