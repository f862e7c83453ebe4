import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { groundOf, methodFor, recipeInput } from "../../src/core/adaptation";
import { evaluate } from "../../src/core/evaluate";
import { textOf } from "../../src/core/method";
import { propose, versionInput, type Version } from "../../src/core/substitution";
import type { SolverPort } from "../../src/core/numeric";
import type { Archetype, ReadRecipe } from "../../src/core/recipe";
import { DEMO_RECIPES, HANDLING, REFERENCE } from "../../src/data";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { problem, read, tableOf } from "../support/kitchen";
import { WRITTEN_RECIPES } from "./written-recipes";

const { constants } = REFERENCE;
/** A mass that a rewritten step tells. */
const MASS_END = / ?\(to about [\d,]+ g in the pot\)| Cook it down to about [\d,]+ g in the pot\./g;

/** A version written out as a recipe: lines by weight, steps in words. */
function writtenOut(recipe: ReadRecipe, version: Version): string {
  const table = tableOf({ servings: recipe.recipe.servings });
  // As they are bought: a step peels them.
  const lines = versionInput(version, groundOf(recipe, table)).lines.map(
    ({ food, grams, bought = grams }) => `${Number(bought.toPrecision(3))} g ${food.name.toLowerCase()}`,
  );
  const steps = methodFor(recipe, version, table, { handling: HANDLING, constants })
    .words.map(textOf)
    .filter((words) => words.trim() !== "");
  return [
    recipe.recipe.title,
    `Serves ${recipe.recipe.servings}`,
    "",
    "Ingredients",
    ...lines,
    "",
    "Method",
    ...steps.map((words, i) => `${i + 1}. ${words}`),
  ].join("\n");
}

const DRY: readonly Archetype[] = ["ladoo", "loose mix", "barfi", "fruit-bound"];

interface Trip {
  readonly name: string;
  readonly yield: number;
  readonly sweetness: number;
  readonly body: number;
  /** Of the yield, with masses taken out of the words. */
  readonly byMinutes: number;
}

describe("a version written out as a recipe and read again", () => {
  let solver: SolverPort;
  const trips: Trip[] = [];
  beforeAll(async () => {
    solver = createHighsPort(await loadHighs());
    for (const text of [...DEMO_RECIPES, ...WRITTEN_RECIPES].map((each) => each.text)) {
      const recipe = read(text);
      // A milk that is pressed here is named by its steps; what is not read is asked about before.
      if (recipe.unresolved.length > 0 || recipe.lines.length < 3 || recipe.ledger.pressedIn.size > 0) continue;
      const { servings } = recipe.recipe;
      const table = tableOf({ servings });
      const endings = await Promise.all(["vegan", "ekadashi"].map((rule) => propose(problem(recipe, { rules: [rule], servings }, 2), solver, () => 0)));
      for (const { version } of endings.flatMap((ending) => (ending.kind === "proposals" ? ending.proposals : []))) {
        const was = evaluate(versionInput(version, groundOf(recipe, table)), constants).figures;
        const written = writtenOut(recipe, version);
        const again = (words: string) => evaluate(recipeInput(read(words), table), constants).figures;
        const now = again(written);
        const off = (id: "yield" | "sweetness.hot", by = now) => Math.abs(by[id].value / Math.max(1e-9, was[id].value) - 1);
        trips.push({
          name: recipe.recipe.title,
          yield: off("yield"),
          sweetness: off("sweetness.hot"),
          // What is dry has no body to speak of.
          body: DRY.includes(recipe.archetype) ? 0 : Math.abs(now["body.hot"].value - was["body.hot"].value),
          byMinutes: off("yield", again(written.replace(MASS_END, ""))),
        });
      }
    }
  });

  const share = (holds: (trip: Trip) => boolean) => trips.filter(holds).length / trips.length;
  it("has the same yield and sweetness: within 3 % for nine in ten, within 5 % for all", () => {
    expect(trips.length).toBeGreaterThan(20);
    expect(trips.filter((trip) => trip.yield > 0.05 || trip.sweetness > 0.05)).toEqual([]);
    expect(share((trip) => trip.yield <= 0.03 && trip.sweetness <= 0.03)).toBeGreaterThanOrEqual(0.9);
  });
  it("has the same body within 0.2 for six in seven, within 0.5 for all", () => {
    expect(trips.filter(({ body }) => body > 0.5)).toEqual([]);
    expect(share(({ body }) => body <= 0.2)).toBeGreaterThanOrEqual(0.85);
  });
  it("comes within 10 % of its yield by minutes alone", () => {
    expect(trips.filter(({ byMinutes }) => byMinutes > 0.1)).toEqual([]);
  });
});

describe("what the steps say moves the yield", () => {
  const kheer = (minutes: number, pan: string) =>
    read(`Kheer\nServes 4\n\n1 litre milk\n60 g rice\n80 g sugar\n\n1. Simmer the milk and the rice in a ${pan} for ${minutes} minutes.\n2. Stir in the sugar.`)
      .ledger.finished.value;
  it("minutes twice as long, and a wider pan", () => {
    expect(kheer(40, "20 cm pan")).toBeLessThan(0.9 * kheer(20, "20 cm pan"));
    expect(kheer(30, "28 cm pan")).toBeLessThan(0.9 * kheer(30, "20 cm pan"));
  });
  it.each([
    "Simmer it for 0 minutes.",
    "Simmer it for 3000 minutes.",
    "Simmer it down to 2 l.",
    "Simmer until dry.",
    "Boil it down to nothing.",
    "Reduce to half in half an hour, until it leaves the sides.",
  ])("with an end that cannot be: a finite figure, or a question (%s)", (step) => {
    for (const lines of ["1 litre milk\n60 g rice\n80 g sugar", "200 g ghee\n50 g coconut oil", "100 g besan\n80 g sugar"]) {
      const recipe = read(`Odd sweet\nServes 4\n\nIngredients\n${lines}\n\nMethod\n1. Put all of it into a pan.\n2. ${step}`);
      const { figures } = evaluate(recipeInput(recipe, tableOf({ servings: 4 })), constants);
      for (const [id, figure] of Object.entries(figures)) expect(Object.values(figure).every(Number.isFinite), `${id} ${step}`).toBe(true);
      expect(figures.yield.value).toBeGreaterThan(0);
    }
  });
});
