import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { halwa, read } from "../../../tests/support/kitchen";
import { USUAL_HOUSEHOLD, panVolume } from "../household";
import { scaleRecipe, type ScaleGoal } from "./scaling";

const { measures } = USUAL_HOUSEHOLD;
const scaled = (goal: ScaleGoal, recipe = halwa()) => {
  const result = scaleRecipe(recipe, goal, measures);
  if (!result.ok) throw new Error(result.error.kind);
  return result.value;
};

describe("a recipe for another quantity", () => {
  it("by servings: each amount by the same factor, to what can be weighed", () => {
    const { factor, lines, finished, finishedBefore, time } = scaled({ kind: "servings", servings: 9 });
    expect(factor).toBe(1.5);
    expect(finished / finishedBefore).toBeCloseTo(1.5, 9);
    const semolina = lines.find(({ food }) => food.id === "semolina");
    expect(semolina).toMatchObject({ grams: 250, measure: "1 1/2 cups" });
    expect(time).toBeCloseTo(1.5 ** 0.8, 9);
  });
  it("by pieces, by a mould, by what there is of one ingredient", () => {
    const { finishedBefore } = scaled({ kind: "servings", servings: 6 });
    expect(scaled({ kind: "pieces", pieces: 20, grams: 30 }).finished).toBeCloseTo(600, 6);
    expect(scaled({ kind: "mould", millilitres: panVolume({ diameter: 20, depth: 3 }) }).factor).toBeCloseTo((1.1 * Math.PI * 300) / finishedBefore, 6);
    const recipe = read("Sesame balls\nMakes 10\n250 g sesame\n200 g jaggery");
    const { lines, factor } = scaled({ kind: "ingredient", line: recipe.lines[0]?.id ?? "", grams: 320 }, recipe);
    expect(factor).toBe(1.28);
    expect(lines.map(({ grams }) => grams)).toEqual([320, 260]);
  });
  it("takes whole eggs, and says which way", () => {
    const custard = read("Custard\nServes 4\n3 eggs\n700 ml milk\n80 g sugar");
    const { lines } = scaled({ kind: "servings", servings: 5 }, custard);
    expect(lines[0]).toMatchObject({ grams: 200, choice: "4 for 3.8: 13 g more" });
    expect(scaled({ kind: "servings", servings: 8 }, custard).lines[0]).toMatchObject({ grams: 300, choice: null });
  });
  it("rounds no amount away and none by more than a sixth above a gram", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 60, noNaN: true }), (servings) => {
        for (const { grams, exact } of scaled({ kind: "servings", servings }).lines) {
          expect(grams).toBeGreaterThan(0);
          if (exact > 1) expect(Math.abs(grams / exact - 1)).toBeLessThan(0.17);
        }
      }),
    ));
  it("says what cannot be scaled", () => {
    const told = (goal: ScaleGoal, recipe = halwa()) => {
      const result = scaleRecipe(recipe, goal, measures);
      return result.ok ? null : result.error.kind;
    };
    expect(told({ kind: "servings", servings: 6000 })).toBe("out of bounds");
    expect(told({ kind: "ingredient", line: "none", grams: 5 })).toBe("no such line");
    expect(told({ kind: "servings", servings: 4 }, read("Mystery\n1 cup moon dust"))).toBe("nothing read");
  });
});
