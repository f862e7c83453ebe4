import type { Recipe, RecipeSearch } from "../core/recipe";
import type { Limit } from "../core/table";
import type { Connection } from "./database";
import { documentOf, many, maybe, maybeOne, number, one, text, texts, time } from "./rows";

export interface StoredRecipe {
  readonly id: string;
  readonly recipe: Recipe;
  readonly revision: number;
  readonly updatedAt: string;
}

export interface RecipeSummary {
  readonly id: string;
  readonly title: string;
  readonly servings: number;
  readonly lineCount: number;
  /** Its first ingredient lines, as written. */
  readonly firstLines: readonly string[];
  /** From the first step to serving; null until it was looked through. */
  readonly minutes: number | null;
  readonly tags: readonly string[];
  /** Ids of the rules its table is set for, and its limits. */
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  readonly versionCount: number;
  readonly updatedAt: string;
}

const RECIPE = documentOf<Recipe>();

export async function insertRecipe(db: Connection, id: string, recipe: Recipe, at: string): Promise<void> {
  await db.query("INSERT INTO recipe (id, title, document, created_at, updated_at) VALUES ($1, $2, $3::jsonb, $4, $4)", [
    id,
    recipe.title,
    JSON.stringify(recipe),
    at,
  ]);
}

export async function findRecipe(db: Connection, id: string): Promise<StoredRecipe | null> {
  const row = await maybeOne(
    db,
    { id: text, document: RECIPE, revision: number, updated_at: time },
    "SELECT id, document, revision, updated_at FROM recipe WHERE id = $1 AND deleted_at IS NULL",
    [id],
  );
  return row && { id: row.id, recipe: row.document, revision: row.revision, updatedAt: row.updated_at };
}

/** What is looked for, and the foods that its words mean: a recipe with one of them is found by them too. */
export interface RecipeQuery extends RecipeSearch {
  readonly meant: readonly string[];
}
export const ALL_RECIPES: RecipeQuery = { words: "", meant: [], foodId: null, diets: [], tag: null, minutes: null };

const FOUND = `FROM recipe LEFT JOIN search_index ON search_index.recipe_id = recipe.id
  WHERE deleted_at IS NULL
    AND ($1 = '%%' OR title ILIKE $1 OR food_ids && ARRAY(SELECT jsonb_array_elements_text($6::jsonb)))
    AND ($2::text IS NULL OR food_ids @> ARRAY[$2::text])
    AND (jsonb_array_length($3::jsonb) = 0 OR diets @> ARRAY(SELECT jsonb_array_elements_text($3::jsonb)))
    AND ($4::text IS NULL OR tags @> ARRAY[$4::text])
    AND ($5::integer IS NULL OR minutes <= $5)`;

const parametersOf = ({ words, meant, foodId, diets, tag, minutes }: RecipeQuery) => [
  `%${words.replace(/[\\%_]/g, (each) => `\\${each}`)}%`,
  foodId,
  JSON.stringify(diets),
  tag,
  minutes,
  JSON.stringify(meant),
];

/** Newest first. */
export async function listRecipes(
  db: Connection,
  search: RecipeQuery,
  limit: number,
  offset: number,
): Promise<{ readonly recipes: readonly RecipeSummary[]; readonly total: number }> {
  const rows = await many(
    db,
    {
      id: text,
      title: text,
      total: number,
      servings: number,
      line_count: number,
      first_lines: texts,
      minutes: maybe(number),
      tags: maybe(texts),
      rules: maybe(texts),
      limits: maybe(documentOf<readonly Limit[]>()),
      version_count: number,
      updated_at: time,
    },
    // What is shown is taken of the page's recipes alone; how many there are is counted on the same way through.
    `WITH page AS MATERIALIZED (SELECT recipe.id AS page_id, minutes, tags, count(*) OVER ()::int AS total
       ${FOUND} ORDER BY updated_at DESC, recipe.id LIMIT $7 OFFSET $8)
     SELECT id, title, total, (document->>'servings')::numeric::float8 AS servings, jsonb_array_length(document->'lines') AS line_count,
       jsonb_path_query_array(document, '$.lines[0 to 4].text') AS first_lines, updated_at, minutes, tags,
       (SELECT dining_table->'rules' FROM adaptation WHERE recipe_id = recipe.id) AS rules,
       (SELECT dining_table->'limits' FROM adaptation WHERE recipe_id = recipe.id) AS limits,
       (SELECT count(*)::int FROM version WHERE recipe_id = recipe.id AND deleted_at IS NULL) AS version_count
     FROM page JOIN recipe ON id = page_id ORDER BY updated_at DESC, id`,
    [...parametersOf(search), limit, offset],
  );
  // Beyond the last page nothing tells how many there are.
  const total = rows[0]?.total ?? (await one(db, { total: number }, `SELECT count(*)::int AS total ${FOUND}`, parametersOf(search))).total;
  return {
    recipes: rows.map((row) => ({
      id: row.id,
      title: row.title,
      servings: row.servings,
      lineCount: row.line_count,
      firstLines: row.first_lines,
      minutes: row.minutes,
      tags: row.tags ?? [],
      rules: row.rules ?? [],
      limits: row.limits ?? [],
      versionCount: row.version_count,
      updatedAt: row.updated_at,
    })),
    total,
  };
}

export async function countRecipes(db: Connection): Promise<number> {
  return (await one(db, { total: number }, "SELECT count(*)::int AS total FROM recipe WHERE deleted_at IS NULL")).total;
}

/** How long edits run together before what was there is written down again. */
const APART = "1 hour";

/**
 * Saves over the revision that was read; null where another save came between, and nothing is written. What was there is
 * written down as a revision where a version was kept of it, or none was written down within the last hour.
 */
export async function updateRecipe(db: Connection, id: string, recipe: Recipe, revision: number, at: string): Promise<number | null> {
  await db.query(
    `INSERT INTO recipe_revision (recipe_id, revision, document, replaced_at)
     SELECT id, revision, document, $3 FROM recipe
     WHERE id = $1 AND revision = $2 AND deleted_at IS NULL AND document <> $4::jsonb AND (
       EXISTS (SELECT 1 FROM version WHERE recipe_id = recipe.id AND kept_at >= recipe.updated_at)
       OR NOT EXISTS (SELECT 1 FROM recipe_revision WHERE recipe_id = recipe.id AND replaced_at > $3::timestamptz - interval '${APART}'))
     ON CONFLICT DO NOTHING`,
    [id, revision, at, JSON.stringify(recipe)],
  );
  const row = await maybeOne(
    db,
    { revision: number },
    "UPDATE recipe SET title = $2, document = $3::jsonb, revision = revision + 1, updated_at = $5 WHERE id = $1 AND revision = $4 AND deleted_at IS NULL RETURNING revision",
    [id, recipe.title, JSON.stringify(recipe), revision, at],
  );
  return row?.revision ?? null;
}

export interface RecipeRevision {
  readonly revision: number;
  readonly recipe: Recipe;
  readonly replacedAt: string;
}

/** The recipe as it was, the latest first. */
export async function listRevisions(db: Connection, id: string, limit: number): Promise<readonly RecipeRevision[]> {
  const rows = await many(
    db,
    { revision: number, document: RECIPE, replaced_at: time },
    "SELECT revision, document, replaced_at FROM recipe_revision WHERE recipe_id = $1 ORDER BY revision DESC LIMIT $2",
    [id, limit],
  );
  return rows.map(({ revision, document, replaced_at }) => ({ revision, recipe: document, replacedAt: replaced_at }));
}
