import { describe, expect, it } from "vitest";
import { REFERENCE } from "../../../data";
import { Z80 } from "../../numeric";
import type { BalancedLine } from "../../recipe";
import { costOf, notComparable } from ".";

const line = (id: string, grams: number, pricePerGram: number | null): BalancedLine => {
  const food = REFERENCE.foods.get(id);
  if (!food) throw new Error(id);
  return { food: { ...food, pricePerGram }, grams, sd: grams * 0.1, role: food.role };
};

describe("what a sweet costs", () => {
  it("is grams times price, with the spread of the grams; water is free", () => {
    const cost = costOf([line("semolina", 200, 0.002), line("sugar", 100, 0.003), line("water", 500, null)]);
    expect(cost?.total.value).toBeCloseTo(0.7, 9);
    expect(cost?.total.high).toBeCloseTo(0.7 + Z80 * Math.hypot(0.04, 0.03), 9);
    expect(cost?.unpriced).toEqual([]);
  });
  it("names what has no price, and is not told where nothing has one", () => {
    expect(costOf([line("semolina", 200, 0.002), line("ghee", 80, null)])?.unpriced).toEqual(["Ghee"]);
    expect(costOf([line("semolina", 200, null)])).toBeNull();
  });
  it("is not held beside another where it alone lacks a price", () => {
    const [before, after] = [
      costOf([line("cow-milk", 500, 0.01), line("saffron", 0.02, null)]),
      costOf([line("almond-drink", 500, null), line("sugar", 50, 0.01), line("saffron", 0.02, null)]),
    ];
    if (!before || !after) throw new Error("no cost");
    expect(notComparable(after, before)).toEqual(["Almond drink, unsweetened"]);
    expect(notComparable(before, after)).toEqual([]);
  });
});
