import { describe, expect, it } from "vitest";
import { food } from "../../../tests/support/kitchen";
import { HANDLING } from "../../data";
import type { VersionRow } from "../substitution";
import { USUAL_HOUSEHOLD } from "../household";
import { rewriteSteps as rewriteStepsOf, type NamedLine } from "./rewrite";

const rewriteSteps = (texts: readonly string[], ...rest: ParametersAfterFirst) =>
  rewriteStepsOf(
    texts.map((step, i) => ({ id: `s${i}`, text: step })),
    ...rest,
  );
type ParametersAfterFirst = Parameters<typeof rewriteStepsOf> extends [unknown, ...infer Rest] ? Rest : never;

const lines: readonly NamedLine[] = [
  { id: "l0", food: food("cow-milk"), description: "full-cream milk" },
  { id: "l1", food: food("sugar"), description: "sugar" },
  { id: "l2", food: food("cashew"), description: "cashews, broken" },
];
const row = (line: number | null, id: string | null, grams: number, change: VersionRow["change"], why = ""): VersionRow => ({
  line: line === null ? null : `l${line}`,
  food: id === null ? null : food(id),
  grams,
  role: id ? food(id).role : "crunch",
  change,
  why,
});
const text = (steps: ReturnType<typeof rewriteSteps>) =>
  steps.map((step) => step.segments.map((segment) => (segment.kind === "removed" ? `-${segment.text}-` : segment.text)).join(""));
const CUPS = USUAL_HOUSEHOLD.measures;
const same = { recipe: 50, version: 50 };

describe("steps made over", () => {
  it("leaves steps alone when nothing changed", () => {
    const steps = ["Boil the milk.", "Stir in the sugar."];
    expect(text(rewriteSteps(steps, lines, [row(0, "cow-milk", 1000, "as is"), row(1, "sugar", 100, "as is")], HANDLING, same, CUPS))).toEqual(steps);
  });
  it("writes a new food in, with its whole amount once, and its reason", () => {
    const made = rewriteSteps(
      ["Warm the milk.", "Add more milk and the sugar."],
      lines,
      [row(0, "soy-milk", 900, "replaced", "no dairy"), row(1, "sugar", 100, "as is")],
      HANDLING,
      same,
      CUPS,
    );
    expect(text(made)).toEqual(["Warm the soya milk (3 2/3 cups, 900 g in all).", "Add more soya milk and the sugar."]);
    expect(made[0]?.why).toBe("no dairy");
  });
  it("strikes out what is left out, and does not touch other nuts", () => {
    expect(text(rewriteSteps(["Fry the cashews until they smell of nuts."], lines, [row(2, null, 0, "left out", "no cashew")], HANDLING, same, CUPS))).toEqual([
      "Fry the -cashews- until they smell of nuts.",
    ]);
  });
  it("names what is added beside the first food of its role, with what it needs beforehand", () => {
    const made = text(
      rewriteSteps(
        ["Boil the milk.", "Stir in the sugar."],
        lines,
        [row(0, "cow-milk", 1000, "as is"), row(1, "sugar", 20, "amount"), row(null, "erythritol", 60, "added", "gives sweetness")],
        HANDLING,
        same,
        CUPS,
      ),
    );
    expect(made[0]).toMatch(/Grind 60 g erythritol/);
    expect(made[2]).toBe("Stir in the sugar (20 g in all) and erythritol (5 tbsp, 60 g).");
  });
  it("gives a thickener a step of its own before the sweetener goes in", () => {
    const made = rewriteSteps(
      ["Boil the milk.", "Stir in the sugar."],
      lines,
      [row(0, "cow-milk", 1000, "as is"), row(1, "sugar", 100, "as is"), row(null, "cornflour", 20, "added", "gives body")],
      HANDLING,
      same,
      CUPS,
    );
    expect(made.map((step) => step.from)).toEqual(["s0", null, "s1"]);
    expect(text(made)[1]).toMatch(/Slake 20 g cornflour/);
  });
  it("says when it is to be cooked down less", () => {
    expect(
      text(
        rewriteSteps(["Boil the milk for 30 minutes."], lines, [row(0, "soy-milk", 900, "replaced", "no dairy")], HANDLING, { recipe: 300, version: 90 }, CUPS),
      ).join(" "),
    ).toMatch(/about 90 g in all, instead of 300 g/);
  });
  it("survives words that are patterns elsewhere", () =>
    expect(() =>
      rewriteSteps(
        ["Add (a+b)* [milk]."],
        [{ ...(lines[0] as NamedLine), description: "milk (2% fat) [c+]" }],
        [row(0, "soy-milk", 10, "replaced", "x")],
        HANDLING,
        same,
        CUPS,
      ),
    ).not.toThrow());
});
