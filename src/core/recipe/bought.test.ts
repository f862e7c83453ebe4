import { describe, expect, it } from "vitest";
import { context } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { atHandFor, readRecipe } from ".";

const boughtOf = (lines: readonly string[], steps: readonly string[]) => {
  const read = readRecipe(
    {
      title: "A sweet",
      servings: 4,
      lines: lines.map((text, i) => ({ id: `l${i + 1}`, text, choice: {} })),
      steps: steps.map((text, i) => ({ id: `s${i + 1}`, text, choice: {} })),
      evaporation: null,
      archetype: null,
    },
    context,
    REFERENCE.constants,
  );
  return read.lines.map(({ food, grams }) => atHandFor(read, food, grams)).map(({ food, grams }) => [food.name, Math.round(grams)]);
};

describe("what has to be at hand", () => {
  it("is nuts for a milk that is pressed here, curd for curd that is hung, and any other food itself", () => {
    expect(
      boughtOf(["100 g almonds", "400 g water", "40 g sugar"], ["Blend the almonds with the water and strain the milk through a cloth.", "Stir in the sugar."]),
    ).toEqual([
      ["Almonds", 100],
      ["Sugar", 40],
    ]);
    expect(boughtOf(["400 g curd", "60 g sugar"], ["Hang the curd in a cloth overnight.", "Whisk in the sugar."])).toEqual([
      [expect.stringMatching(/curd|yog/i), 400],
      ["Sugar", 60],
    ]);
    expect(boughtOf(["500 g milk", "50 g sugar"], ["Simmer the milk with the sugar for 20 minutes."])[0]?.[1]).toBe(500);
  });
});
