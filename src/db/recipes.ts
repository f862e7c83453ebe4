import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";

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
  /** Ids of the rules its table is set for, and how many limits. */
  readonly rules: readonly string[];
  readonly limitCount: number;
  readonly versionCount: number;
  readonly updatedAt: string;
}

interface Row {
  readonly id: string;
  readonly document: Recipe;
  readonly revision: number;
  readonly updated_at: Date | string;
}

const read = (row: Row): StoredRecipe => ({ id: row.id, recipe: row.document, revision: row.revision, updatedAt: new Date(row.updated_at).toISOString() });

export async function insertRecipe(db: Connection, id: string, recipe: Recipe, at: string): Promise<void> {
  await db.query("INSERT INTO recipe (id, title, document, created_at, updated_at) VALUES ($1, $2, $3::jsonb, $4, $4)", [
    id,
    recipe.title,
    JSON.stringify(recipe),
    at,
  ]);
}

export async function findRecipe(db: Connection, id: string): Promise<StoredRecipe | null> {
  const [row] = await db.query<Row>("SELECT id, document, revision, updated_at FROM recipe WHERE id = $1 AND deleted_at IS NULL", [id]);
  return row ? read(row) : null;
}

/** Newest first; `like` filters by title, whatever its case. */
export async function listRecipes(
  db: Connection,
  like: string,
  limit: number,
  offset: number,
): Promise<{ readonly recipes: readonly RecipeSummary[]; readonly total: number }> {
  const pattern = `%${like.replace(/[\\%_]/g, (each) => `\\${each}`)}%`;
  const rows = await db.query<{
    id: string;
    title: string;
    servings: number;
    line_count: number;
    first_lines: readonly string[];
    rules: readonly string[] | null;
    limit_count: number | null;
    version_count: number;
    updated_at: Date | string;
  }>(
    `SELECT id, title, (document->>'servings')::numeric::float8 AS servings, jsonb_array_length(document->'lines') AS line_count,
       jsonb_path_query_array(document, '$.lines[0 to 4].text') AS first_lines, updated_at,
       (SELECT dining_table->'rules' FROM adaptation WHERE recipe_id = recipe.id) AS rules,
       (SELECT jsonb_array_length(dining_table->'limits') FROM adaptation WHERE recipe_id = recipe.id) AS limit_count,
       (SELECT count(*)::int FROM version WHERE recipe_id = recipe.id AND deleted_at IS NULL) AS version_count
     FROM recipe WHERE deleted_at IS NULL AND title ILIKE $1 ORDER BY updated_at DESC, id LIMIT $2 OFFSET $3`,
    [pattern, limit, offset],
  );
  const [count] = await db.query<{ total: number }>("SELECT count(*)::int AS total FROM recipe WHERE deleted_at IS NULL AND title ILIKE $1", [pattern]);
  return {
    recipes: rows.map((row) => ({
      id: row.id,
      title: row.title,
      servings: row.servings,
      lineCount: row.line_count,
      firstLines: row.first_lines,
      rules: row.rules ?? [],
      limitCount: row.limit_count ?? 0,
      versionCount: row.version_count,
      updatedAt: new Date(row.updated_at).toISOString(),
    })),
    total: count?.total ?? 0,
  };
}

/** Saves over the revision that was read; null where another save came between, and nothing is written. */
export async function updateRecipe(db: Connection, id: string, recipe: Recipe, revision: number, at: string): Promise<number | null> {
  const [row] = await db.query<{ revision: number }>(
    "UPDATE recipe SET title = $2, document = $3::jsonb, revision = revision + 1, updated_at = $5 WHERE id = $1 AND revision = $4 AND deleted_at IS NULL RETURNING revision",
    [id, recipe.title, JSON.stringify(recipe), revision, at],
  );
  return row?.revision ?? null;
}
