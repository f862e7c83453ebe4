import { describe, expect, it } from "vitest";
import { food, phirni, tableOf } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { recipeInput } from "../adaptation";
import { evaluatePoint, proposeAmount, type EvaluationInput } from ".";

const { constants } = REFERENCE;
const without = (id: string): EvaluationInput => {
  const input = recipeInput(phirni(), tableOf());
  return { ...input, lines: input.lines.filter((line) => line.food.id !== id) };
};

describe("an amount that a recipe leaves open", () => {
  it("is proposed so that the sweet comes to what is usual for its kind, with a range", () => {
    const input = without("sugar");
    const proposed = proposeAmount(input, food("sugar"), "sweetener", "pudding", constants);
    if (!proposed) throw new Error("nothing proposed");
    const made = (grams: number) =>
      evaluatePoint({ ...input, lines: [...input.lines, { food: food("sugar"), grams, sd: 0, role: "sweetener" }] }, constants)["sweetness.hot"].value;
    const [low, usual, high] = constants.usualSweets.value.pudding?.sweetness ?? [0, 0, 0];
    expect([proposed.low, proposed.grams, proposed.high].map((grams) => Math.round(made(grams) * 100) / 100)).toEqual([low, usual, high]);
    expect(proposed.by).toBe("usual sweetness of a pudding");
  });
  it("thins with a liquid and thickens with a flour", () => {
    const milk = proposeAmount(without("cow-milk"), food("cow-milk"), "liquid", "pudding", constants);
    expect(milk?.grams).toBeGreaterThan(200);
    const flour = proposeAmount(without("rice-flour"), food("rice-flour"), "body", "pudding", constants);
    expect(flour?.grams).toBeGreaterThan(10);
    expect(flour?.grams).toBeLessThan(120);
  });
  it("is not proposed where nothing of it would do, or its role has no measure", () => {
    expect(proposeAmount(recipeInput(phirni(), tableOf()), food("sugar"), "sweetener", "pudding", constants)).toBeNull();
    expect(proposeAmount(without("sugar"), food("salt"), "seasoning", "pudding", constants)).toBeNull();
    expect(proposeAmount({ ...without("sugar"), lines: [] }, food("sugar"), "sweetener", "pudding", constants)).toBeNull();
  });
});
