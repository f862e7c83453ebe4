import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { context, read } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { plainSteps, readJsonLd, readRecipe, type ComponentUse, type Recipe } from "../recipe";
import { ownFileKind, readCsv, writeCsv, writeJsonLd, writeOwnFile } from ".";

const words = fc
  .string({ unit: "grapheme", minLength: 1, maxLength: 40 })
  .map((text) => text.replace(/\s+/g, " ").trim())
  .filter((text) => text !== "");
const line = fc.record({
  text: fc.oneof(
    words,
    fc.constantFrom("1 cup sugar", "- 2 tbsp ghee", "=SUM(A1)", "+1 cup milk", "@milk", "'quoted", '5 "large" eggs, whisked', "½ cup rice; washed"),
  ),
  choice: fc.record(
    { foodId: fc.constantFrom("sugar", "ghee"), grams: fc.double({ min: 0.01, max: 5000, noNaN: true }), leftOut: fc.constant(true) },
    { requiredKeys: [] },
  ),
});
const recipes: fc.Arbitrary<Recipe> = fc
  .record({
    title: words,
    servings: fc.integer({ min: 1, max: 60 }),
    lines: fc.array(line, { minLength: 1, maxLength: 8 }),
    steps: fc.array(words, { maxLength: 5 }),
    parts: fc.constantFrom([], [{ kind: "whole" }], [{ kind: "apart" }, { kind: "part", share: 0.4 }]),
  })
  .map(({ lines, steps, parts, ...rest }) => {
    const components = (parts as readonly ComponentUse[]).map((use, i) => ({ id: `c${i + 1}`, name: `Part ${i + 1}`, use, ...(i > 0 ? { into: "c1" } : {}) }));
    const component = (i: number) => (components.length > 0 && i % 2 === 1 ? { component: components[(i - 1) % components.length]?.id ?? "" } : {});
    return {
      ...rest,
      lines: lines.map((each, i) => ({ id: `l${i + 1}`, ...each, ...component(i) })),
      steps: plainSteps(steps).map((each, i) => ({ ...each, ...component(i) })),
      ...(components.length > 0 ? { components } : {}),
      evaporation: null,
      archetype: null,
    };
  });
const csvOf = (recipe: Recipe) => writeCsv([{ recipe, readings: readRecipe(recipe, context, REFERENCE.constants).readings }]);

describe("a recipe as a table", () => {
  it("comes back as it was: lines, steps, and what was settled by hand", () =>
    fc.assert(
      fc.property(recipes, (recipe) => {
        const back = readCsv(csvOf(recipe));
        expect(back).toEqual({ ok: true, value: [recipe] });
      }),
    ));
  it("holds no cell that a spreadsheet would run", () =>
    fc.assert(
      fc.property(recipes, (recipe) => {
        for (const row of Papa.parse<string[]>(csvOf(recipe)).data) for (const cell of row) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      }),
    ));
  it("is read from a spreadsheet's own columns too", () => {
    const read = readCsv("Recipe;Amount;Unit;Ingredient\nHalwa;1;cup;semolina\nHalwa;0,5;cup;ghee\n");
    expect(read).toMatchObject({ ok: true, value: [{ title: "Halwa", lines: [{ text: "1 cup semolina" }, { text: "0,5 cup ghee" }] }] });
  });
  it.each([
    ["wrong columns", "name,colour\nHalwa,red\n", [1, /“text”.*name, colour/]],
    ["an unknown kind", "recipe,kind,text\nHalwa,spell,1 cup sugar\n", [2, /“spell” is no kind of row/]],
    ["servings that are no number", "recipe,servings,text\nHalwa,many,1 cup sugar\n", [2, /“many” is not a number/]],
    ["grams set by hand that are none", "recipe,text,grams,set by hand\nHalwa,sugar,lots,grams\n", [2, /“lots” are no grams/]],
    ["a recipe without a line", "recipe,kind,text\nHalwa,step,Stir it\n", [null, /no ingredient line/]],
    ["only a head", "recipe,kind,text\n", [null, /no row/]],
  ] as const)("is refused whole for %s, with its row", (_, text, [row, why]) => {
    const read = readCsv(text);
    expect(read.ok ? [] : read.error).toContainEqual({ row, detail: expect.stringMatching(why) as string });
  });
});

describe("other formats", () => {
  it("JSON-LD holds name, yield, lines and steps, and reads back the same; not what is left out, nor notes", () => {
    const { recipe } = read("Halwa\nServes 6\n1 cup semolina\n½ cup ghee\nNote: good for the skin\n1. Roast it.\n2. Stir in the rest of it.");
    const leftOut = { ...recipe, lines: [...recipe.lines, { id: "l9", text: "love", choice: { leftOut: true } }] };
    const written = writeJsonLd(leftOut);
    expect(JSON.stringify(written)).not.toMatch(/love|skin/);
    const back = readJsonLd(JSON.parse(JSON.stringify(written)));
    expect(back).toMatchObject({ ok: true, value: { title: recipe.title, servings: 6, lines: recipe.lines, steps: recipe.steps } });
  });
  it("the app's own file is known by its name and version", () => {
    expect(ownFileKind(writeOwnFile([]))).toBe("ours");
    expect(ownFileKind({ ...writeOwnFile([]), version: 4 })).toBe("newer");
    expect([ownFileKind({ "@type": "Recipe" }), ownFileKind(null), ownFileKind([])]).toEqual(["other", "other", "other"]);
  });
});
