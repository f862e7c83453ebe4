import { describe, expect, it } from "vitest";
import type { MethodStep } from "./step";
import { atOnce, timePieces } from "./hands";

const step = (id: string, text: string, usual: number, attention: MethodStep["attention"], operations: MethodStep["operations"] = ["mix"]) => ({
  id,
  text,
  minutes: { shortest: usual, usual, longest: usual },
  attention,
  operations,
  takes: [],
});

describe("hands over the whole time", () => {
  it("puts steps one after the other, and beside one another where the words say so", () => {
    const pieces = timePieces([
      step("a", "Soak the rice.", 30, "unattended"),
      step("b", "Meanwhile fry the nuts.", 5, "hands on"),
      step("c", "Boil both in the milk.", 20, "now and then"),
      step("d", "While it cooks, grind the cardamom.", 25, "hands on"),
      step("e", "Serve.", 1, "hands on"),
    ]);
    expect(pieces.map(({ start, end, beside, isClash }) => [start, end, beside, isClash])).toEqual([
      [0, 30, null, false],
      [0, 5, "a", false],
      [30, 50, null, false],
      [30, 55, "c", false],
      [55, 56, null, false],
    ]);
  });
  it("names two things in hand", () => {
    const [, second] = timePieces([step("a", "Stir the halwa.", 20, "hands on"), step("b", "Meanwhile boil the syrup.", 8, "now and then")]);
    expect(second).toMatchObject({ beside: "a", isClash: true, start: 0 });
  });
  it.each([
    ["Temper the eggs with the milk.", ["temper"], /whisks/],
    ["Pour the milk in a thin stream into the flour.", ["mix"], /pours/],
    ["Add the semolina slowly while stirring.", ["simmer"], /stirs/],
    ["Stir it while it cooks.", ["simmer"], null],
    ["Add the sugar.", ["mix"], null],
  ] as const)("%s", (text, operations, words) => {
    const told = atOnce(step("a", text, 2, "hands on", operations));
    if (words) expect(told).toMatch(words);
    else expect(told).toBeNull();
  });
});
