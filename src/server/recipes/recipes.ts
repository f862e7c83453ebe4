import { randomUUID } from "node:crypto";
import { benchFrom2, type StoredBench } from "../../core/adaptation";
import { guessArchetype, overLimits, withAllLines, type Recipe, type RecipeSearch } from "../../core/recipe";
import { isSet } from "../../core/substitution";
import type { DiningTable } from "../../core/table";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { Refusal } from "../http/problems";
import { checkedRevised } from "../http/checked";
import { searchEntryFor } from "./search-index";
import { checkRules } from "../kitchen/house-rules";
import { getKitchen } from "../kitchen/kitchen";
import { readBeside } from "./reading-thread";
import { saveRevised, type Revised } from "../http/revised";
import { readBench, validateSentBench, validateTable } from "../http/schemas/documents";
import { validateRecipe } from "../http/schemas/recipe";

const now = () => new Date().toISOString();
const NOT_FOUND = new Refusal(404, "There is no such recipe. It may have been deleted.");

/** Makes a recipe of pasted text; refused with a plain message where nothing can be read. */
export async function createRecipe(text: string, left: AbortSignal): Promise<string> {
  const [recipe, kitchen] = await Promise.all([readBeside({ kind: "paste", text }, left), getKitchen()]);
  return addRecipes([withAllLines(recipe, kitchen.reading)]).then(([id = ""]) => id);
}

/** Checks that a recipe is no larger than one may be; 422 with what is, at the pointer that is given. */
export function checkLimits(recipe: Recipe, pointer: string): void {
  const over = overLimits(recipe);
  if (over.length > 0)
    throw new Refusal(
      422,
      `The recipe is larger than one may be here. ${over[0]?.detail ?? ""}`,
      over.map((each) => ({ ...each, pointer: `${pointer}${each.pointer}` })),
    );
}

/** Puts recipes in, all of them or none, with what comes with them; their new ids, in order. */
export async function addRecipes(
  recipes: readonly Recipe[],
  withThem: (connection: db.Connection, ids: readonly string[]) => Promise<void> = () => Promise.resolve(),
): Promise<readonly string[]> {
  recipes.forEach((recipe, i) => checkLimits(recipe, `/recipes/${i}`));
  const at = now();
  const ids = recipes.map(() => randomUUID());
  const database = await getDatabase();
  const entries = await Promise.all(recipes.map(searchEntryFor));
  await database.transaction(async (connection) => {
    for (const [i, recipe] of recipes.entries()) {
      const id = ids[i] ?? "";
      await db.insertRecipe(connection, id, recipe, at);
      await entries[i]?.(connection, id, 1);
    }
    await withThem(connection, ids);
  });
  return ids;
}

export async function getRecipe(id: string): Promise<db.StoredRecipe | null> {
  return db.findRecipe(await getDatabase(), id);
}

export async function saveRecipe(id: string, body: unknown): Promise<number> {
  const sent = checkedRevised(validateRecipe, body);
  checkLimits(sent.document, "/document");
  const connection = await getDatabase();
  const writeSearchEntry = await searchEntryFor(sent.document);
  return saveRevised(
    sent,
    "recipe",
    ({ document, revision }) =>
      connection.transaction(async (inner) => {
        const saved = await db.updateRecipe(inner, id, document, revision, now());
        if (saved !== null) await writeSearchEntry(inner, id, saved);
        return saved;
      }),
    async () => {
      const { recipe, revision } = await requireRecipe(id);
      return { document: recipe, revision };
    },
  );
}

const PAGE = 50;

/** What an address asks for; what is not understood does not count. */
export async function readSearch(parameters: Readonly<Record<string, string | string[] | undefined>>): Promise<RecipeSearch> {
  const { rules } = await getKitchen();
  const one = (name: string) => [parameters[name]].flat()[0]?.slice(0, 200) ?? "";
  const minutes = Math.floor(Number(one("minutes")));
  return {
    words: one("search"),
    foodId: one("food") || null,
    diets: [parameters.diet].flat().filter((id): id is string => id !== undefined && rules.has(id)),
    tag: one("tag") || null,
    minutes: minutes > 0 && minutes < 100_000 ? minutes : null,
  };
}

const MOST_PAGES = 1_000_000;

/** The page that an address asks for; the first where it asks for none that can be. */
export function pageNumber(asked: string | string[] | undefined): number {
  const page = Math.floor(Number([asked].flat()[0]));
  return page >= 1 && page <= MOST_PAGES ? page : 1;
}

const LEAST_LETTERS = 3;

/** Foods in whose names the words stand. */
async function foodsMeant(words: string): Promise<string[]> {
  const lower = words.trim().toLowerCase();
  if (lower.length < LEAST_LETTERS) return [];
  const { foods } = (await getKitchen()).reference;
  return [...foods.values()].filter(({ name, synonyms }) => [name, ...synonyms].some((each) => each.toLowerCase().includes(lower))).map(({ id }) => id);
}

export async function recipesPage(
  search: RecipeSearch,
  page: number,
): Promise<{ readonly recipes: readonly db.RecipeSummary[]; readonly total: number; readonly pages: number }> {
  const { recipes, total } = await db.listRecipes(await getDatabase(), { ...search, meant: await foodsMeant(search.words) }, PAGE, (page - 1) * PAGE);
  return { recipes, total, pages: Math.max(1, Math.ceil(total / PAGE)) };
}

const FEW_TITLES = 8;

/** A few recipes found by words, to choose from. */
export async function recipeTitles(words: string): Promise<readonly { readonly id: string; readonly title: string }[]> {
  const search = { words: words.slice(0, 200), foodId: null, diets: [], tag: null, minutes: null };
  const { recipes } = await db.listRecipes(await getDatabase(), { ...search, meant: await foodsMeant(search.words) }, FEW_TITLES, 0);
  return recipes.map(({ id, title }) => ({ id, title }));
}

/** The other sweets of an occasion, as they stand; those that are gone are left out. */
export async function otherSweetsOf(table: DiningTable): Promise<readonly { readonly id: string; readonly recipe: Recipe }[]> {
  const found = await Promise.all((table.otherSweets ?? []).map(({ recipe }) => getRecipe(recipe)));
  return found.flatMap((each) => (each ? [{ id: each.id, recipe: each.recipe }] : []));
}

export interface Adaptation {
  readonly table: Revised<DiningTable>;
  readonly bench: Revised<StoredBench | null>;
}

/** How a sweet is served where nobody has said so: what has to set is served cold. By its name, where nobody has said its kind. */
const usualServe = ({ archetype, title }: Recipe): DiningTable["serve"] => (isSet(archetype ?? guessArchetype([], title).archetype) ? "chilled" : "hot");

/** The table set for a recipe (as saved, else for its own servings with no rules) and what is on its bench. */
export async function getAdaptation(id: string, recipe: Recipe): Promise<Adaptation> {
  const stored = await db.findAdaptation(await getDatabase(), id);
  const set: DiningTable = validateTable(stored.table)
    ? stored.table
    : { rules: [], limits: [], servings: recipe.servings, batch: "recipe", serve: usualServe(recipe) };
  const table = set.batch === "recipe" ? { ...set, servings: recipe.servings } : set;
  return {
    table: { document: table, revision: stored.tableRevision },
    bench: { document: readBench(stored.bench, recipe, table), revision: stored.benchRevision },
  };
}

/** Saves the table or the bench of a recipe over the revision that was read. */
async function savePart<T>(id: string, part: "table" | "bench", sent: Revised<T>, current: (adaptation: Adaptation) => Revised<T>): Promise<number> {
  const connection = await getDatabase();
  const { recipe } = await requireRecipe(id);
  return saveRevised(
    sent,
    part,
    ({ document, revision }) =>
      connection.transaction(async (inside) => {
        if (part === "bench") await db.keepBenchState(inside, id, revision, now());
        return db.saveAdaptation(inside, id, part, document, revision, now());
      }),
    async () => current(await getAdaptation(id, recipe)),
  );
}

/** What a window that was left open since an earlier version of the app calls other sweets as they were called then. */
function withOtherSweets(body: unknown): unknown {
  if (typeof body !== "object" || body === null || !("document" in body) || typeof body.document !== "object" || body.document === null) return body;
  if (!("besides" in body.document)) return body;
  const { besides: otherSweets, ...document } = body.document;
  return { ...body, document: { ...document, otherSweets } };
}

export async function saveTable(id: string, body: unknown): Promise<number> {
  const sent = checkedRevised(validateTable, withOtherSweets(body));
  await checkRules([{ pointer: "/document/rules", rules: sent.document.rules }]);
  return savePart(id, "table", sent, ({ table }) => table);
}

/** Saves the bench; a window that was left open since an earlier version of the app may send it as it was stored then. */
export async function saveBench(id: string, body: unknown): Promise<number> {
  const { document, revision } = checkedRevised(validateSentBench, body);
  return savePart<StoredBench | null>(id, "bench", { document: benchFrom2(document), revision }, ({ bench }) => bench);
}

/** Saves table and bench together, each over the revision that was read: both or, where another save came between, neither. */
export async function saveBoth(
  id: string,
  table: Revised<DiningTable>,
  bench: Revised<StoredBench>,
): Promise<{ readonly table: number; readonly bench: number }> {
  await checkRules([{ pointer: "/document/rules", rules: table.document.rules }]);
  const at = now();
  return (await getDatabase()).transaction(async (inside) => {
    await db.keepBenchState(inside, id, bench.revision, at);
    const saved = {
      table: await db.saveAdaptation(inside, id, "table", table.document, table.revision, at),
      bench: await db.saveAdaptation(inside, id, "bench", bench.document, bench.revision, at),
    };
    if (saved.table === null || saved.bench === null)
      throw new Refusal(409, "Table or bench of this recipe were changed just now. Nothing was laid on; try it again.");
    return { table: saved.table, bench: saved.bench };
  });
}

/** What lay on a recipe's bench before, the latest first: each as it is read today, and when another took its place. */
export async function benchStates(id: string): Promise<readonly { readonly revision: number; readonly replacedAt: string; readonly bench: StoredBench }[]> {
  const { recipe } = await requireRecipe(id);
  const { table } = await getAdaptation(id, recipe);
  return (await db.benchStates(await getDatabase(), id)).flatMap(({ bench, ...state }) => {
    const read = readBench(bench, recipe, table.document);
    return read ? [{ ...state, bench: read }] : [];
  });
}

export async function requireRecipe(id: string): Promise<db.StoredRecipe> {
  const stored = await getRecipe(id);
  if (!stored) throw NOT_FOUND;
  return stored;
}
