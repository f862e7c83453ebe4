import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context, read } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { USUAL_HOUSEHOLD } from "../household";
import { plainSteps, ratiosFor, readRecipe, scaleRecipe, writersCup, type LineChoice, type Recipe, type ScaleGoal } from ".";

const recipeOf = (lines: readonly (readonly [text: string, choice?: LineChoice])[]): Recipe => ({
  title: "A sweet",
  servings: 4,
  lines: lines.map(([text, choice = {}], i) => ({ id: `l${i + 1}`, text, choice })),
  steps: plainSteps(["Mix all."]),
  evaporation: null,
  archetype: null,
});
const readOf = (...lines: Parameters<typeof recipeOf>[0]) => readRecipe(recipeOf(lines), context, REFERENCE.constants);
const grams = (made: ReturnType<typeof readOf>) => made.readings.map((line) => (line.kind === "read" ? Math.round(line.grams.value * 100) / 100 : line.kind));
const scaled = (made: ReturnType<typeof readOf>, goal: ScaleGoal, neverMore?: Parameters<typeof scaleRecipe>[3]) => {
  const result = scaleRecipe(made, goal, USUAL_HOUSEHOLD.measures, neverMore);
  if (!result.ok) throw new Error(result.error.kind);
  return result.value.lines;
};

describe("ratios", () => {
  const keep = (times: number, ...of: readonly string[]): LineChoice => ({ ratio: { times, of } });
  it("give a line its grams from others together, and follow them", () => {
    expect(grams(readOf(["200 g semolina"], ["50 g almonds"], ["1 cup sugar", keep(1, "l1", "l2")]))).toEqual([200, 50, 250]);
    expect(grams(readOf(["200 g semolina"], ["ghee", keep(0.5, "l1")]))).toEqual([200, 100]);
  });
  it("can follow one another, but not in a circle, nor what is not read or gone", () => {
    expect(grams(readOf(["200 g semolina"], ["ghee", keep(0.5, "l1")], ["sugar", keep(2, "l2")]))).toEqual([200, 100, 200]);
    expect(grams(readOf(["semolina", keep(1, "l2")], ["ghee", keep(1, "l1")]))).toEqual(["amount unknown", "amount unknown"]);
    expect(grams(readOf(["sugar", keep(1, "l9")]))).toEqual(["amount unknown"]);
    expect(grams(readOf(["some moon dust"], ["sugar", keep(1, "l1")]))).toEqual(["food unknown", "amount unknown"]);
  });
  it("that a recipe seems to keep are offered by what goes with what", () => {
    const { readings } = readOf(["200 g besan", { role: "bulk" }], ["50 g semolina", { role: "body" }], ["250 g sugar"], ["125 g ghee"]);
    expect(ratiosFor(readings, readings[2]?.line.id ?? "")[0]).toEqual({
      times: 1,
      of: readings.slice(0, 2).map(({ line }) => line.id),
      words: "all the dry together",
    });
    expect(ratiosFor(readings, readings[3]?.line.id ?? "")[0]).toMatchObject({ times: 0.5, of: readings.slice(0, 2).map(({ line }) => line.id) });
  });
  it("hold when scaled, between what is weighed out, whatever the factor", () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 40, noNaN: true }), (servings) => {
        const [semolina, almonds, sugar] = scaled(readOf(["200 g semolina"], ["50 g almonds"], ["sugar", keep(1, "l1", "l2")]), { kind: "servings", servings });
        const sum = (semolina?.grams ?? 0) + (almonds?.grams ?? 0);
        expect(Math.abs((sugar?.grams ?? 0) - sum)).toBeLessThanOrEqual(Math.max(5, 0.03 * sum));
      }),
    ));
});

describe("amounts for another quantity", () => {
  it("open cans whole and say what is left, and count pods and eggs", () => {
    const [can] = scaled(readOf(["1 can (400 ml) coconut milk"]), { kind: "servings", servings: 6 });
    expect(can).toMatchObject({ grams: 580, choice: "2 cans opened, 194 g left over" });
    const [pods] = scaled(readOf(["4 green cardamom pods"]), { kind: "servings", servings: 5 });
    expect((pods?.grams ?? 0) / (pods?.before ?? 1)).toBeCloseTo(5 / 4, 9);
    const [eggs] = scaled(readOf(["3 eggs"]), { kind: "servings", servings: 5 });
    expect(eggs).toMatchObject({ grams: 200, choice: "4 for 3.8: 13 g more" });
  });
  it("never round up what a limit counts", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 40, noNaN: true }), (servings) => {
        for (const { grams: made, exact, food } of scaled(
          readOf(["97 g sugar"], ["207 g milk"]),
          { kind: "servings", servings },
          ({ role }) => role === "sweetener",
        ))
          if (food.id === "sugar") expect(made).toBeLessThanOrEqual(Math.max(exact + 1e-6, 0.01));
      }),
    ));
});

describe("the writer's cup", () => {
  it.each([
    [["500 ml (2 cups) milk", "1 cup sugar"], 250],
    [["2 cups (400 ml) milk"], 200],
    [["1½ cups / 360 ml water"], 240],
    [["1 litre (4 cups) milk", "1 cup (250 ml) water"], 250],
  ] as const)("is told by %j", (lines, millilitres) => expect(writersCup(lines.map((text) => ({ text })))?.millilitres).toBe(millilitres));
  it.each([
    [["2 cups milk"]],
    [["2 cups (400 ml) milk", "1 cup (250 ml) water"]],
    [["1 cup plus 50 ml milk"]],
    [["1 cup (200 g) sugar"]],
    [["1 cup (2 ml) milk"]],
  ] as const)("is not told by %j", (lines) => expect(writersCup(lines.map((text) => ({ text })))).toBeNull());
  it("is read by where it is taken", () => {
    const made = (cup: number | null) => readRecipe({ ...recipeOf([["1 cup sugar"]]), cup }, context, REFERENCE.constants).lines[0]?.grams ?? 0;
    expect(made(200) / made(null)).toBeCloseTo(200 / 240, 9);
  });
});

describe("the kind of sweet", () => {
  it.each([
    ["Amaranth ladoo", "ladoo"],
    ["Bottle-gourd kheer", "pudding"],
    ["Baked milk custard", "set pudding"],
  ] as const)("is told by its name: %s", (title, archetype) => expect(read(`${title}\n400 g bottle gourd\n100 ml milk`).archetype).toBe(archetype));
});
