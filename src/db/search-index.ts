import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";
import { documentOf, many, maybe, number, one, text, texts } from "./rows";

/** What a recipe is found by, derived from it. */
export interface SearchEntry {
  readonly kind: string;
  readonly foodIds: readonly string[];
  /** Ids of the rules that it meets as handed down. */
  readonly diets: readonly string[];
  readonly tags: readonly string[];
  readonly minutes: number;
}

export async function writeSearchEntry(db: Connection, id: string, revision: number, basis: string, entry: SearchEntry): Promise<void> {
  await db.query(
    `INSERT INTO search_index (recipe_id, revision, basis, kind, food_ids, diets, tags, minutes)
     SELECT $1, $2, $3, $4, ARRAY(SELECT jsonb_array_elements_text($5::jsonb)), ARRAY(SELECT jsonb_array_elements_text($6::jsonb)),
       ARRAY(SELECT jsonb_array_elements_text($7::jsonb)), $8 FROM recipe WHERE id = $1
     ON CONFLICT (recipe_id) DO UPDATE SET revision = excluded.revision, basis = excluded.basis, kind = excluded.kind, food_ids = excluded.food_ids,
       diets = excluded.diets, tags = excluded.tags, minutes = excluded.minutes`,
    [id, revision, basis, entry.kind, JSON.stringify(entry.foodIds), JSON.stringify(entry.diets), JSON.stringify(entry.tags), entry.minutes],
  );
}

/** Recipes that are not indexed by this basis or revision, at most `limit`. */
export async function notIndexed(
  db: Connection,
  basis: string,
  limit: number,
): Promise<readonly { readonly id: string; readonly recipe: Recipe; readonly revision: number }[]> {
  const rows = await many(
    db,
    { id: text, document: documentOf<Recipe>(), revision: number },
    `SELECT id, document, recipe.revision FROM recipe LEFT JOIN search_index ON recipe_id = id
     WHERE deleted_at IS NULL AND (recipe_id IS NULL OR basis <> $1 OR search_index.revision <> recipe.revision) ORDER BY updated_at DESC, id LIMIT $2`,
    [basis, limit],
  );
  return rows.map(({ id, document, revision }) => ({ id, recipe: document, revision }));
}

/** The words that recipes are found by, the most used first. */
export async function listTags(db: Connection, limit: number): Promise<readonly string[]> {
  const rows = await many(
    db,
    { tag: text },
    `SELECT tag FROM search_index JOIN recipe ON id = recipe_id, unnest(tags) AS tag WHERE deleted_at IS NULL GROUP BY tag ORDER BY count(*) DESC, tag LIMIT $1`,
    [limit],
  );
  return rows.map(({ tag }) => tag);
}

export async function countNotIndexed(db: Connection, basis: string): Promise<number> {
  const { total } = await one(
    db,
    { total: number },
    `SELECT count(*)::int AS total FROM recipe LEFT JOIN search_index ON recipe_id = id
     WHERE deleted_at IS NULL AND (recipe_id IS NULL OR basis <> $1 OR search_index.revision <> recipe.revision)`,
    [basis],
  );
  return total;
}

/** All recipes with the foods they were found to hold; none where that is not known yet. The newest first. */
export async function recipeFoods(db: Connection): Promise<readonly { readonly id: string; readonly foodIds: readonly string[] }[]> {
  const rows = await many(
    db,
    { id: text, food_ids: maybe(texts) },
    "SELECT id, to_jsonb(food_ids) AS food_ids FROM recipe LEFT JOIN search_index ON recipe_id = id WHERE deleted_at IS NULL ORDER BY updated_at DESC, id",
    [],
  );
  return rows.map(({ id, food_ids }) => ({ id, foodIds: food_ids ?? [] }));
}
