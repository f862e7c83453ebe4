import { describe, expect, it } from "vitest";
import { REFERENCE } from "../../src/data";
import { readRecipe, readRecipeText, type LineReading } from "../../src/core/recipe";
import { readLine as readLineOf } from "../../src/core/recipe/read-line";
import { context } from "../support/kitchen";
import { meantLines, permuted, scoreOf, scoreOfPermuted } from "../support/lines";
import { seeded } from "../support/trials";
import written from "./written-lines.json";
import { WRITTEN_RECIPES } from "./written-recipes";

/** Lines of our own writing: text, the food (null: it has to be asked), and the grams (null: the amount has to be asked). */
const LINES = written as unknown as readonly (readonly [text: string, food: string | null, grams: number | null])[];

const readLine = (text: string) => readLineOf({ id: "l", text, choice: {} }, context);
const foodOf = (reading: LineReading) => (reading.kind === "read" || reading.kind === "amount unknown" ? reading.food.id : null);
const gramsOf = (reading: LineReading) => (reading.kind === "read" ? reading.grams.value : null);
const right = ([text, food, grams]: (typeof LINES)[number]): boolean => {
  const reading = readLine(text);
  const got = gramsOf(reading);
  return foodOf(reading) === food && (grams === null ? got === null : got !== null && Math.abs(got / grams - 1) < 0.03);
};

describe("lines as people write them", () => {
  it("are at least 120, and at least 98 of 100 are read wholly right", () => {
    expect(LINES.length).toBeGreaterThanOrEqual(120);
    const wrong = LINES.filter((line) => !right(line));
    expect(wrong.length / LINES.length, wrong.map(([text]) => text).join("; ")).toBeLessThan(0.02);
  });
  it("are asked about wherever they are not read right: nothing is guessed in silence", () =>
    expect(LINES.filter((line) => !right(line) && gramsOf(readLine(line[0])) !== null).map(([text]) => text)).toEqual([]));
});

describe("lines in many hands", () => {
  const lines = meantLines("tests/golden/lines-of-others.tsv");
  const missed = (score: string) => lines.filter((line) => scoreOf(line) === score).map(({ text }) => text);
  it("are read right but for a few that are asked about", () => {
    expect(missed("wrong")).toEqual([]);
    expect(missed("asked").length / lines.length).toBeLessThan(0.03);
  });
  it("read the same with every food exchanged for another of its kind", () => {
    const random = seeded(16);
    const scores = lines.flatMap((line) => {
      const other = permuted(line, random);
      return other ? [scoreOfPermuted(other)] : [];
    });
    expect(scores.length).toBeGreaterThan(80);
    expect(scores.filter((score) => score === "right").length / scores.length).toBeGreaterThan(0.94);
  });
});

describe("whole recipes as people write them", () => {
  it.each(WRITTEN_RECIPES.map((recipe) => [recipe.shape, recipe] as const))("%s", (_, { text, title, servings, foods, steps }) => {
    const parsed = readRecipeText(text);
    if (!parsed.ok) throw new Error(parsed.error.kind);
    const { readings } = readRecipe(parsed.value, context, REFERENCE.constants);
    expect([parsed.value.title, parsed.value.servings]).toEqual([title, servings]);
    expect(readings.map((reading) => (reading.kind === "read" ? reading.food.id : "?"))).toEqual(foods);
    expect(parsed.value.steps).toHaveLength(steps);
  });
  it("are twenty", () => expect(WRITTEN_RECIPES.length).toBeGreaterThanOrEqual(20));
});
