import type { SolverPort } from "../src/core/numeric";
import { problemFor, propose, tradeOff } from "../src/core/substitution";
import { USUAL_SOURCES } from "../src/core/kitchen";
import { readRecipeText, type Recipe } from "../src/core/recipe";
import { seat, type DiningTable } from "../src/core/table";
import { splitIn, suitView, viewOf } from "../src/core/views";
import { DEMO_RECIPES, kitchenOf, REFERENCE, RULES, SUBSTITUTION } from "../src/data";
import { DEMO_EATERS } from "../src/data/demo-pantry";
import { KINDS, textOfCase } from "../tests/support/cases";
import { read, tableOf } from "../tests/support/kitchen";

type Rows = [what: string, figure: string, aim: string][];
type Timed = (work: () => unknown) => Promise<number>;
type Spread = (values: readonly number[], digits?: number) => string;

const TABLE: DiningTable = { rules: ["vegan", "gluten-free"], limits: [{ id: "freeSugars", most: 12, school: "uk" }], servings: 6, serve: "hot" };
const NEAREST = 10;
const percent = (share: number) => `${Math.round(100 * share)} %`;

/** Whole cases of every kind, the trade-off of sixteen points, a pot that is split, and recipes ranked for a table. */
export async function wholeCases(rows: Rows, solve: SolverPort, timed: Timed, spread: Spread): Promise<void> {
  const [times, trades, gaps]: [number[], number[], number[]] = [[], [], []];
  let optimal = 0;
  let solved = 0;
  let points = 0;
  for (const each of KINDS) {
    const recipe = read(textOfCase(each));
    const of = problemFor(recipe, tableOf({ servings: recipe.recipe.servings, ...each.table }), REFERENCE, SUBSTITUTION, RULES, 3);
    const counting: SolverPort = async (model, options) => {
      const outcome = await solve(model, options);
      if (outcome.kind === "infeasible" || !model.columns.some(({ integer }) => integer)) return outcome;
      solved++;
      if (outcome.kind === "optimal") optimal++;
      if ("gap" in outcome) gaps.push(outcome.gap);
      return outcome;
    };
    times.push(await timed(() => propose(of, counting, () => performance.now())));
    trades.push(await timed(async () => (points += (await tradeOff(of, solve)).points.length)));
  }
  rows.push([`whole case, up to three versions, ${KINDS.length} kinds`, spread(times, 0), "p95 at most 1,000 ms"]);
  rows.push([
    "of their solves with binaries: proven optimal, largest gap",
    `${percent(optimal / solved)}, ${(100 * Math.max(...gaps)).toFixed(1)} %`,
    "95 %, 2 %",
  ]);
  rows.push(["trade-off of 16 points", `${spread(trades, 0)}; ${(points / KINDS.length).toFixed(0)} kept of them`, ""]);
  await splitting(rows, solve, timed, spread);
  await ranking(rows, solve, timed);
}

async function splitting(rows: Rows, solve: SolverPort, timed: Timed, spread: Spread): Promise<void> {
  const kitchen = kitchenOf(USUAL_SOURCES);
  const eaters = DEMO_EATERS.eaters.filter(({ id }) => id === "grandmother" || id === "uncle");
  const times: number[] = [];
  for (const { text } of DEMO_RECIPES) {
    const { recipe } = read(text);
    const table = eaters.reduce<DiningTable>((all, eater) => seat(all, eater), { rules: [], limits: [], servings: recipe.servings, serve: "hot" });
    times.push(await timed(() => splitIn({ recipe, table }, kitchen, (problem) => propose(problem, solve, () => performance.now()))));
  }
  rows.push([`where a pot parts, the demo's ${DEMO_RECIPES.length} sweets for two`, spread(times, 0), ""]);
}

/** The i-th of many different recipes made of the demo's. */
function recipeOf(i: number): Recipe {
  const read = readRecipeText(DEMO_RECIPES[i % DEMO_RECIPES.length]?.text ?? "");
  if (!read.ok) throw new Error("not read");
  return { ...read.value, title: `${read.value.title} ${i}`, servings: 4 + (i % 5) };
}

async function ranking(rows: Rows, solve: SolverPort, timed: Timed): Promise<void> {
  for (const count of [15, 200]) {
    // A kitchen that has read none of them yet.
    const kitchen = kitchenOf({ ...USUAL_SOURCES });
    const recipes = Array.from({ length: count }, (_, i) => recipeOf(i));
    let told: { readonly recipe: Recipe; readonly kind: string; readonly least: number }[] = [];
    const bound = await timed(() => (told = recipes.map((recipe) => ({ recipe, ...suitView({ recipe, table: TABLE }, kitchen) }))));
    const nearest = told
      .filter(({ kind }) => kind === "to adapt")
      .sort((a, b) => a.least - b.least)
      .slice(0, NEAREST);
    const solving = await timed(async () => {
      for (const { recipe } of nearest) {
        const ending = await propose(viewOf("suit problem", { recipe, table: TABLE }, kitchen), solve, () => performance.now());
        viewOf("suit ending", { recipe, table: TABLE, ending }, kitchen);
      }
    });
    rows.push([
      `${count} recipes ranked for a table: read and judged, then the ${nearest.length} nearest solved`,
      `${bound.toFixed(0)} ms, then ${solving.toFixed(0)} ms`,
      "",
    ]);
  }
}
