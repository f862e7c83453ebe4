import { rulesAt, type DiningTable } from "../../core/table";
import { strictestVerdict } from "../../core/models/diet";
import { suitView, type SuitLine, type SuitRow } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { validateSuited } from "../http/schemas/documents";
import { checkRules } from "../kitchen/house-rules";
import { getKitchen } from "../kitchen/kitchen";
import { getRecipe } from "./recipes";

/** So many are read and judged; of the others too many foods break the table. */
const MOST_READ = 200;
/** So many come whole, for the solver. */
const MOST_WHOLE = 40;
const AT_ONCE = 10;
const ORDER: readonly SuitRow["kind"][] = ["fits", "to adapt", "cannot tell", "by hand"];

/** Which recipes suit a table: first by the foods that each holds, then the nearest of them read and judged whole. */
export async function* suited(table: DiningTable, leave: string | null): AsyncGenerator<SuitLine, void> {
  const [database, kitchen] = [await getDatabase(), await getKitchen()];
  const rules = rulesAt(table, kitchen.rules);
  const avoided = new Set([...kitchen.reference.foods.values()].flatMap((food) => (strictestVerdict(food, rules) === "avoid" ? [food.id] : [])));
  const all = (await db.recipeFoods(database)).filter(({ id }) => id !== leave);
  const near = all
    .map(({ id, foodIds }) => ({ id, broken: foodIds.filter((food) => avoided.has(food)).length }))
    .sort((a, b) => a.broken - b.broken)
    .slice(0, MOST_READ);
  const rows: SuitRow[] = [];
  for (let at = 0; at < near.length; at += AT_ONCE) {
    yield { kind: "progress", done: at, of: near.length };
    for (const { id } of near.slice(at, at + AT_ONCE)) {
      const stored = await getRecipe(id);
      if (stored) rows.push({ id, title: stored.recipe.title, recipe: stored.recipe, ...suitView({ recipe: stored.recipe, table }, kitchen) });
      // Between two recipes the pages come first.
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  rows.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || a.least - b.least);
  const whole = new Set(
    rows
      .filter(({ kind }) => kind === "to adapt")
      .slice(0, MOST_WHOLE)
      .map(({ id }) => id),
  );
  yield { kind: "ended", rows: rows.map(({ recipe, ...row }) => (recipe && whole.has(row.id) ? { ...row, recipe } : row)), of: all.length };
}

/** The same for what is sent: `{ table, leave }`, the table checked like one that is saved. */
export async function suitedFor(body: unknown): Promise<AsyncGenerator<SuitLine, void>> {
  const { table, leave } = checked(validateSuited, body);
  await checkRules([{ pointer: "/table/rules", rules: table.rules }]);
  return suited(table, leave);
}
