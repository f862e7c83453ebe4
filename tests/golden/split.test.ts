import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { USUAL_SOURCES } from "../../src/core/kitchen";
import { judge } from "../../src/core/models/diet";
import { linesBefore, propose } from "../../src/core/substitution";
import type { SolverPort } from "../../src/core/numeric";
import { seat, type DiningTable } from "../../src/core/table";
import { splitIn, type Splits } from "../../src/core/views";
import { DEMO_RECIPES, kitchenOf, RULES } from "../../src/data";
import { DEMO_EATERS } from "../../src/data/demo-pantry";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { food, read } from "../support/kitchen";

let solve: SolverPort;
beforeAll(async () => {
  solve = createHighsPort(await loadHighs());
});
const kitchen = kitchenOf(USUAL_SOURCES);

interface Found extends Splits {
  readonly table: DiningTable;
}
async function splitOf(text: string, eaters: readonly string[]): Promise<Found> {
  const { recipe } = read(text);
  const bare: DiningTable = { rules: [], limits: [], servings: recipe.servings, batch: "recipe", serve: "hot" };
  const table = eaters.reduce((all, id) => {
    const eater = DEMO_EATERS.eaters.find((each) => each.id === id);
    if (!eater) throw new Error(id);
    return seat(all, eater);
  }, bare);
  return { table, ...(await splitIn({ recipe, table }, kitchen, (problem) => propose(problem, solve, () => 0))) };
}

const TABLES = [
  ["grandmother", "cousin"],
  ["grandmother", "uncle"],
  ["niece", "grandmother", "neighbour"],
  ["uncle", "cousin", "niece", "child"],
] as const;

describe("a pot that is split", () => {
  it.each(TABLES.map((eaters) => [eaters.join(", "), eaters] as const))(
    "%s: one base, every portion fit for who eats of it, all of it shared out",
    async (_, eaters) => {
      let split = 0;
      for (const { text } of DEMO_RECIPES) {
        const { table, views } = await splitOf(text, eaters);
        for (const view of views) {
          split++;
          const of = read(text);
          const base = linesBefore(of, view.before);
          const [first] = view.portions;
          expect(view.portions.flatMap((portion) => portion.eaters).sort()).toEqual([...eaters].sort());
          expect(view.portions.reduce((sum, { servings }) => sum + servings, 0)).toBeCloseTo(table.servings, 1);
          for (const portion of view.portions) {
            const kept = (table.seats ?? [])
              .filter(({ eater }) => portion.eaters.includes(eater))
              .flatMap(({ rules }) => rules.flatMap((id) => RULES.get(id) ?? []));
            const share = portion.servings / of.recipe.servings;
            const rows = portion.bench?.rows ?? of.lines.map((line) => ({ line: line.id, foodId: line.food.id, grams: line.grams * share }));
            for (const { foodId, grams } of rows) {
              if (foodId === null || grams === 0 || !kitchen.reference.foods.has(foodId)) continue;
              for (const rule of kept) expect(judge(food(foodId), rule).verdict, `${foodId}, ${rule.id}`).not.toBe("avoid");
            }
            // What has gone in by then is the same for all, by the serving.
            for (const line of of.lines.filter(({ id }) => base.includes(id))) {
              const row = rows.find((each) => each.line === line.id);
              const told = `${of.recipe.title}, before ${view.before}`;
              const other = view.base === null ? null : first?.bench?.rows.find((each) => each.line === line.id);
              expect(row?.foodId, told).toBe(other ? other.foodId : line.food.id);
              expect((row?.grams ?? 0) / portion.servings, told).toBeCloseTo(other ? other.grams / (first?.servings ?? 1) : line.grams / of.recipe.servings, 1);
            }
          }
        }
      }
      expect(split).toBeGreaterThan(0);
    },
  );

  it("is not parted after an allergen, nor after what leaves traces of it", async () => {
    const text = (steps: string) => `Rice pudding\nServes 4\n\n1 litre milk\n80 g rice\n90 g sugar\n40 g cashews\n2 tbsp ghee\n\n${steps}`;
    const last = text(
      "1. Boil the rice in the milk for 40 minutes.\n2. Add the sugar and simmer for 5 minutes.\n3. Fry the cashews in the ghee, and stir them in.",
    );
    const late = await splitOf(last, ["niece", "grandmother"]);
    const own = late.views.find(({ base }) => base === null);
    expect(own?.before).toBe(2);
    expect(own?.portions.find(({ names }) => names.includes("Niece"))?.allergens).not.toContain("cashew");
    const first = text(
      "1. Fry the cashews in the ghee, and lift them out.\n2. Boil the rice in the milk in that pan for 40 minutes.\n3. Add the sugar and the cashews.",
    );
    expect((await splitOf(first, ["niece", "grandmother"])).plan?.places).toEqual([]);
  });

  it("goes on together past what only some may not have, where the base is changed for all", async () => {
    const text =
      "Rice pudding\nServes 8\n\n1 litre milk\n80 g rice\n90 g sugar\n40 g cashews\n2 tbsp ghee\n\n1. Boil the rice in the milk for 40 minutes.\n2. Add the sugar and simmer for 5 minutes.\n3. Fry the cashews in the ghee, and stir them in.";
    for (const [other, isInBase] of [
      ["cousin", (id: string) => food(id).origin !== "dairy"],
      ["neighbour", (id: string) => id !== "white-rice"],
    ] as const) {
      const { plan, views } = await splitOf(text, [other, "niece", "grandmother"]);
      expect(plan?.places).toEqual([]);
      const [view] = views;
      expect(view?.base).not.toBeNull();
      expect(view?.before).toBe(2);
      for (const portion of view?.portions ?? []) {
        const base = (portion.bench?.rows ?? []).filter(({ line, grams }) => grams > 0 && line !== "l4" && line !== "l5");
        for (const { foodId } of base) expect(isInBase(foodId ?? ""), `${other}: ${foodId}`).toBe(true);
      }
      const of = (name: string) => view?.portions.find(({ names }) => names.some((each) => each.toLowerCase() === name));
      expect(of("niece")?.allergens).not.toContain("cashew");
      expect(of("grandmother")?.allergens).toContain("cashew");
      if (other === "cousin") expect(of("cousin")?.allergens).not.toContain("milk");
    }
  });

  it("changes no base of a recipe of which something is not read", async () => {
    const text = (line: string) =>
      `Rice pudding\nServes 8\n\n1 litre milk\n80 g rice\n90 g sugar\n${line}40 g cashews\n\n1. Boil the rice in the milk for 40 minutes.\n2. Add the sugar and simmer for 5 minutes.\n3. Stir in the cashews.`;
    expect((await splitOf(text(""), ["cousin", "niece", "grandmother"])).plan?.bases.length).toBeGreaterThan(0);
    expect((await splitOf(text("1 cup dragon scales\n"), ["cousin", "niece", "grandmother"])).plan?.bases).toEqual([]);
  });

  it("is nothing to split where all need the same, or one eats alone", async () => {
    const { text } = DEMO_RECIPES[0] ?? { text: "" };
    expect((await splitOf(text, ["grandmother"])).plan).toBeNull();
    const pears = "Stewed pears\nServes 4\n\n600 g pears\n\n1. Stew the pears for 20 minutes.";
    expect((await splitOf(pears, ["grandmother", "cousin", "niece"])).plan).toBeNull();
  });
});
