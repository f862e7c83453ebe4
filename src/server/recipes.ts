import { formatNumber } from "../core/units";
import { randomUUID } from "node:crypto";
import type { StoredBench } from "../core/adaptation";
import { readRecipeText, type PasteProblem, type Recipe } from "../core/recipe";
import type { DiningTable } from "../core/substitution";
import * as db from "../db";
import { getDatabase } from "./database";
import { Refusal } from "./problem-details";
import { checkedRevised } from "./door";
import { saveRevised, type Revised } from "./revised";
import { validateBench, validateRecipe, validateTable } from "./schemas";

const now = () => new Date().toISOString();
const NOT_FOUND = new Refusal(404, "There is no such recipe. It may have been deleted.");

export function pasteProblemWords(problem: PasteProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is nothing to read yet. Paste a recipe: a title, ingredient lines, steps.";
    case "too long":
      return `That is ${formatNumber(problem.lines)} lines; a recipe here has at most ${problem.most}. Paste one recipe at a time.`;
    case "long line":
      return `Line ${problem.line} is ${formatNumber(problem.characters)} characters long; at most ${formatNumber(problem.most)}. Give each ingredient and each step a line of its own.`;
    case "no ingredients":
      return 'No ingredient lines were found. Give each ingredient a line of its own, such as "1 cup fine semolina".';
  }
}

/** Makes a recipe of pasted text; refused with a plain message where nothing can be read. */
export async function createRecipe(text: string): Promise<string> {
  const read = readRecipeText(text);
  if (!read.ok) throw new Refusal(422, pasteProblemWords(read.error), [{ pointer: "/text", detail: pasteProblemWords(read.error) }]);
  const id = randomUUID();
  await db.insertRecipe(await getDatabase(), id, { ...read.value, title: read.value.title.slice(0, 200) }, now());
  return id;
}

export async function getRecipe(id: string): Promise<db.StoredRecipe | null> {
  return db.findRecipe(await getDatabase(), id);
}

export async function saveRecipe(id: string, body: unknown): Promise<number> {
  const sent = checkedRevised(validateRecipe, body);
  const connection = await getDatabase();
  return saveRevised(
    sent,
    "recipe",
    ({ document, revision }) => db.updateRecipe(connection, id, document, revision, now()),
    async () => {
      const { recipe, revision } = await requireRecipe(id);
      return { document: recipe, revision };
    },
  );
}

const PAGE = 50;

export async function recipesPage(
  search: string,
  page: number,
): Promise<{ readonly recipes: readonly db.RecipeSummary[]; readonly total: number; readonly pages: number }> {
  const { recipes, total } = await db.listRecipes(await getDatabase(), search, PAGE, (page - 1) * PAGE);
  return { recipes, total, pages: Math.max(1, Math.ceil(total / PAGE)) };
}

export interface Adaptation {
  readonly table: Revised<DiningTable>;
  readonly bench: Revised<StoredBench | null>;
}

/** The table set for a recipe (as saved, else for its own servings with no rules) and what is on its bench. */
export async function getAdaptation(id: string, recipe: Recipe): Promise<Adaptation> {
  const stored = await db.findAdaptation(await getDatabase(), id);
  const table = validateTable(stored.table) ? stored.table : { rules: [], limits: [], servings: recipe.servings, serve: "hot" as const };
  return {
    table: { document: table, revision: stored.tableRevision },
    bench: { document: validateBench(stored.bench) ? stored.bench : null, revision: stored.benchRevision },
  };
}

/** Saves the table or the bench of a recipe over the revision that was read. */
async function savePart<T>(id: string, part: "table" | "bench", sent: Revised<T>, current: (adaptation: Adaptation) => Revised<T>): Promise<number> {
  const connection = await getDatabase();
  const { recipe } = await requireRecipe(id);
  return saveRevised(
    sent,
    part,
    ({ document, revision }) => db.saveAdaptation(connection, id, part, document, revision, now()),
    async () => current(await getAdaptation(id, recipe)),
  );
}

export const saveTable = async (id: string, body: unknown): Promise<number> => savePart(id, "table", checkedRevised(validateTable, body), ({ table }) => table);

export const saveBench = async (id: string, body: unknown): Promise<number> =>
  savePart<StoredBench | null>(id, "bench", checkedRevised(validateBench, body), ({ bench }) => bench);

export async function requireRecipe(id: string): Promise<db.StoredRecipe> {
  const stored = await getRecipe(id);
  if (!stored) throw NOT_FOUND;
  return stored;
}
