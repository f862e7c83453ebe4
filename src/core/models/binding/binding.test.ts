import { describe, expect, it } from "vitest";
import { food } from "../../../../tests/support/kitchen";
import { asTreated, type Treatment } from "../../food";
import { CONSTANTS } from "../../../data/constants";
import { bindingPerGram, bindingRatio, bindingWords } from "./binding";

const sumsOf = (amounts: Readonly<Record<string, number>>, treated: Treatment = {}) => {
  const sums = { demand: 0, supply: 0, sticky: 0 };
  for (const [id, grams] of Object.entries(amounts)) {
    const per = bindingPerGram(asTreated(food(id), treated), food(id).per100g, CONSTANTS);
    sums.demand += per.demand * grams;
    sums.supply += per.supply * grams;
    sums.sticky += per.sticky * grams;
  }
  return sums;
};
const ratio = (amounts: Readonly<Record<string, number>>, treated: Treatment = {}) => bindingRatio(sumsOf(amounts, treated));

describe("binding", () => {
  it.each([
    [122, 0.85, "binds"],
    [150, 1.04, "binds"],
    [166, 1.15, "rich, but holds"],
    [180, 1.25, "greasy"],
  ] as const)("besan 250, powdered sugar 190, ghee %d: R %d, %s", (ghee, expected, words) => {
    const found = ratio({ besan: 250, "icing-sugar": 190, ghee });
    expect(Math.abs(found - expected)).toBeLessThanOrEqual(0.01);
    expect(bindingWords({ demand: 1, supply: expected, sticky: 0 }, CONSTANTS)).toBe(words);
  });
  it("reads in words, by its bounds", () => {
    const words = (ratio: number, sticky: number) => bindingWords({ demand: 1, supply: ratio, sticky: sticky * ratio }, CONSTANTS);
    expect([0.5, 0.9, 1.2, 1.5].map((each) => words(each, 0))).toEqual(["crumbles", "binds", "rich, but holds", "greasy"]);
    expect([1.5, 4].map((each) => words(each, 0.8))).toEqual(["holds by what is sticky", "sticky"]);
  });
  it("takes sugar cooked to a syrup as sticky, and dry as something to be bound", () => {
    const amounts = { sesame: 200, jaggery: 150 };
    expect(ratio(amounts, { dissolved: true })).toBeGreaterThan(0.8);
    expect(ratio(amounts)).toBe(0);
  });
  it("is nothing where nothing takes up binder", () => expect(ratio({ "cow-milk": 1000 })).toBe(0));
});
