import { ledgerOf } from "../src/core/recipe/ledger";
import { readSteps } from "../src/core/recipe/read-steps";
import { plainSteps, readRecipe, readRecipeText, type Recipe } from "../src/core/recipe";
import { DEMO_RECIPES, REFERENCE } from "../src/data";
import { newFolder, removeFolder, send, startApp } from "../tests/support/app";
import { context } from "../tests/support/kitchen";

type Timed = (work: () => unknown) => Promise<number>;
type Rows = [what: string, figure: string, aim: string][];

const MANY = 5000;
const BATCH = 200;
const FOODS = [
  "milk",
  "sugar",
  "ghee",
  "jaggery",
  "semolina",
  "white rice",
  "besan",
  "almonds",
  "cashews",
  "coconut milk",
  "dates",
  "cardamom powder",
  "raisins",
  "ragi flour",
  "water",
];

/** The i-th of many different recipes: fifteen lines, ten steps. */
const recipeOf = (i: number): Recipe => {
  const lines = FOODS.map((food, n) => ({ id: `l${n}`, text: `${10 + ((i * 7 + n * 13) % 90)} g ${food}`, choice: {} }));
  const steps = FOODS.slice(0, 10).map((food, n) => (n % 3 === 0 ? `Simmer the ${food} for ${5 + ((i + n) % 20)} minutes.` : `Stir in the ${food}.`));
  return {
    title: `Sweet number ${i}`,
    servings: 4 + (i % 8),
    lines,
    steps: plainSteps(steps),
    evaporation: null,
    archetype: null,
    tags: [["winter", "summer", "festival"][i % 3] ?? ""],
  };
};

/** Reading and the mass ledger, alone. */
export async function reading(rows: Rows, timed: Timed, spread: (values: readonly number[]) => string): Promise<void> {
  const text = `Long pudding\nServes 6\n${FOODS.map((food, n) => `${n % 2 ? "½ cup" : `${20 + n} g`} ${food}`).join("\n")}\nMethod\n${DEMO_RECIPES[4]?.text.split("Method\n")[1] ?? ""}`;
  const times: number[] = [];
  for (let i = 0; i < 300; i++)
    times.push(
      await timed(() => {
        const parsed = readRecipeText(text);
        if (!parsed.ok || parsed.value.lines.length !== 15) throw new Error("not fifteen lines");
        return readRecipe(parsed.value, context, REFERENCE.constants);
      }),
    );
  rows.push(["read a 15-line recipe with its steps, from pasted text", spread(times), "under a frame"]);
  const steps = Array.from({ length: 20 }, (_, n) => (n % 2 ? `Simmer for ${3 + n} minutes.` : `Stir in the ${FOODS[n % FOODS.length] ?? ""}.`));
  const read = readRecipe({ ...recipeOf(1), steps: plainSteps(steps) }, context, REFERENCE.constants);
  if (read.steps.length !== 20) throw new Error("not twenty steps");
  const walk = () => ledgerOf(read.recipe, read.readings, read.steps, read.structure, REFERENCE.constants, context);
  const ledgers: number[] = [];
  for (let i = 0; i < 500; i++) ledgers.push(await timed(walk));
  rows.push(["mass balance of 20 steps, 15 lines", spread(ledgers), "under a frame"]);
  const whole: number[] = [];
  for (let i = 0; i < 300; i++)
    whole.push(await timed(() => readSteps(read.recipe, read.readings, read.structure, context, REFERENCE.constants.process.value)));
  rows.push(["20 steps read: operation, times, what goes in", spread(whole), "under a frame"]);
}

/** The library with thousands of recipes: list, find, open; what the server takes. */
export async function library(rows: Rows, timed: Timed, spread: (values: readonly number[], digits?: number) => string): Promise<void> {
  const folder = newFolder();
  try {
    const app = await startApp(folder);
    let id = "";
    const filling = await timed(async () => {
      for (let i = 0; i < MANY; i += BATCH) {
        const { status, json } = await send(app.address, "POST", "/api/recipes/import", { recipes: Array.from({ length: BATCH }, (_, n) => recipeOf(i + n)) });
        if (status !== 201 && status !== 200) throw new Error(`import: ${status}`);
        id = (json as { ids: readonly string[] }).ids[0] ?? id;
      }
    });
    rows.push([`put in ${MANY} recipes of 15 lines, each read and looked through`, `${(filling / MANY).toFixed(1)} ms a recipe`, ""]);
    const asked = [
      ["list", "/recipes"],
      ["find by name or food", "/recipes?search=number+42"],
      ["find by food, diet, time and season at once", "/recipes?food=jaggery&diet=egg-free&minutes=480&tag=winter"],
      ["open a recipe", `/recipes/${id}/recipe`],
      ["its lineage", `/recipes/${id}/lineage`],
    ] as const;
    for (const [name, path] of asked) {
      const times: number[] = [];
      for (let i = 0; i < 45; i++) {
        const time = await timed(async () => {
          const response = await fetch(`${app.address}${path}`);
          if (!response.ok) throw new Error(`${path}: ${response.status}`);
          await response.text();
        });
        if (i >= 5) times.push(time);
      }
      rows.push([`${name}, ${MANY} recipes, server time`, spread(times, 0), "fast"]);
    }
    await app.stop();
  } finally {
    removeFolder(folder);
  }
}
