import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";

const literally = (word: string) => `%${word.replace(/[\\%_]/g, (each) => `\\${each}`)}%`;

/** Recipes in whose text any of the words stands, newest first, at most `limit`: those that may use a food of these names. */
export async function recipesWith(
  db: Connection,
  words: readonly string[],
  limit: number,
): Promise<readonly { readonly id: string; readonly recipe: Recipe }[]> {
  const rows = await db.query<{ id: string; document: Recipe }>(
    `SELECT id, document FROM recipe WHERE deleted_at IS NULL AND EXISTS
       (SELECT 1 FROM jsonb_array_elements_text($1::jsonb) AS word WHERE document->>'lines' ILIKE word) ORDER BY updated_at DESC, id LIMIT $2`,
    [JSON.stringify(words.map(literally)), limit],
  );
  return rows.map(({ id, document }) => ({ id, recipe: document }));
}

/** Recipes on whose bench a food of this id lies. */
export async function benchesWith(db: Connection, foodId: string, limit: number): Promise<readonly { readonly id: string; readonly title: string }[]> {
  return db.query<{ id: string; title: string }>(
    `SELECT recipe.id, recipe.title FROM adaptation JOIN recipe ON recipe.id = adaptation.recipe_id
     WHERE recipe.deleted_at IS NULL AND adaptation.bench @> jsonb_build_object('rows', jsonb_build_array(jsonb_build_object('foodId', $1::text)))
     ORDER BY recipe.title LIMIT $2`,
    [foodId, limit],
  );
}
