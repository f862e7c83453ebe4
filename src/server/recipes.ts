import { randomUUID } from "node:crypto";
import { readRecipeText, type PasteProblem, type Recipe } from "../core/recipe";
import type { DiningTable } from "../core/substitution";
import * as db from "../db";
import { getDatabase } from "./database";
import { Refusal } from "./problem-details";
import { checked } from "./door";
import { validateBench, validateTable, type Bench } from "./schemas";

const NOT_FOUND = new Refusal(404, "There is no such recipe. It may have been deleted.");

export function pasteProblemWords(problem: PasteProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is nothing to read yet. Paste a recipe: a title, ingredient lines, steps.";
    case "too long":
      return `That is ${problem.lines.toLocaleString("en")} lines; a recipe here has at most ${problem.most}. Paste one recipe at a time.`;
    case "long line":
      return `Line ${problem.line} is ${problem.characters.toLocaleString("en")} characters long; at most ${problem.most.toLocaleString("en")}. Give each ingredient and each step a line of its own.`;
    case "no ingredients":
      return 'No ingredient lines were found. Give each ingredient a line of its own, such as "1 cup fine semolina".';
  }
}

/** Makes a recipe of pasted text; refused with a plain message where nothing can be read. */
export async function createRecipe(text: string): Promise<string> {
  const read = readRecipeText(text);
  if (!read.ok) throw new Refusal(422, pasteProblemWords(read.error), [{ pointer: "/text", detail: pasteProblemWords(read.error) }]);
  const id = randomUUID();
  await db.insertRecipe(await getDatabase(), id, { ...read.value, title: read.value.title.slice(0, 200) });
  return id;
}

export async function getRecipe(id: string): Promise<db.StoredRecipe | null> {
  return db.findRecipe(await getDatabase(), id);
}

/** Saves a recipe over the revision that was read; 409 where another save came between. */
export async function saveRecipe(id: string, recipe: Recipe, revision: number): Promise<number> {
  const connection = await getDatabase();
  const saved = await db.updateRecipe(connection, id, recipe, revision);
  if (saved !== null) return saved;
  if (!(await db.findRecipe(connection, id))) throw NOT_FOUND;
  throw new Refusal(409, "This recipe was changed in another window since it was opened here. Reload to see it; nothing was overwritten.");
}

export async function removeRecipe(id: string): Promise<void> {
  if (!(await db.deleteRecipe(await getDatabase(), id))) throw NOT_FOUND;
}

const PAGE = 50;

export async function recipesPage(
  search: string,
  page: number,
): Promise<{ readonly recipes: readonly db.RecipeSummary[]; readonly total: number; readonly pages: number }> {
  const { recipes, total } = await db.listRecipes(await getDatabase(), search, PAGE, (page - 1) * PAGE);
  return { recipes, total, pages: Math.max(1, Math.ceil(total / PAGE)) };
}

/** The table set for a recipe: as saved, else for its own servings with no rules. */
export async function getAdaptation(id: string, recipe: Recipe): Promise<{ readonly table: DiningTable; readonly bench: Bench | null }> {
  const stored = await db.findAdaptation(await getDatabase(), id);
  const table = stored && validateTable(stored.table) ? stored.table : { rules: [], limits: [], servings: recipe.servings, serve: "hot" as const };
  return { table, bench: stored && validateBench(stored.bench) ? stored.bench : null };
}

export async function saveTable(id: string, body: unknown): Promise<void> {
  const table = checked(validateTable, body);
  await requireRecipe(id);
  await db.saveTable(await getDatabase(), id, table);
}

export async function saveBench(id: string, body: unknown): Promise<void> {
  const bench = body === null ? null : checked(validateBench, body);
  const { recipe } = await requireRecipe(id);
  const { table } = await getAdaptation(id, recipe);
  await db.saveBench(await getDatabase(), id, table, bench);
}

export async function requireRecipe(id: string): Promise<db.StoredRecipe> {
  const stored = await getRecipe(id);
  if (!stored) throw NOT_FOUND;
  return stored;
}
