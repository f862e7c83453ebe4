import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";
import { documentOf, many, number, one, text } from "./rows";

const literally = (word: string) => `%${word.replace(/[\\%_]/g, (each) => `\\${each}`)}%`;

/** Recipes in whose text any of the words stands, newest first, at most `limit`: those that may use a food of these names. */
export async function recipesWith(
  db: Connection,
  words: readonly string[],
  limit: number,
): Promise<readonly { readonly id: string; readonly recipe: Recipe }[]> {
  const rows = await many(
    db,
    { id: text, document: documentOf<Recipe>() },
    `SELECT id, document FROM recipe WHERE deleted_at IS NULL AND EXISTS
       (SELECT 1 FROM jsonb_array_elements_text($1::jsonb) AS word WHERE document->>'lines' ILIKE word) ORDER BY updated_at DESC, id LIMIT $2`,
    [JSON.stringify(words.map(literally)), limit],
  );
  return rows.map(({ id, document }) => ({ id, recipe: document }));
}

/** Recipes on whose bench a food of this id lies. */
export async function benchesWith(db: Connection, foodId: string, limit: number): Promise<readonly { readonly id: string; readonly title: string }[]> {
  return many(
    db,
    { id: text, title: text },
    `SELECT recipe.id, recipe.title FROM adaptation JOIN recipe ON recipe.id = adaptation.recipe_id
     WHERE recipe.deleted_at IS NULL AND adaptation.bench @> jsonb_build_object('rows', jsonb_build_array(jsonb_build_object('foodId', $1::text)))
     ORDER BY recipe.title LIMIT $2`,
    [foodId, limit],
  );
}

/** Whether a list of rules, as `rules`, holds any of those asked for. */
const ANY_RULE = "EXISTS (SELECT 1 FROM jsonb_array_elements_text($1::jsonb) AS rule WHERE rules @> to_jsonb(rule))";

/** Recipes at whose table any of these rules is kept; where foods are given, only those that hold one of them. */
export async function tablesWith(
  db: Connection,
  rules: readonly string[],
  limit: number,
  foodIds: readonly string[] | null = null,
): Promise<readonly { readonly id: string; readonly title: string }[]> {
  return many(
    db,
    { id: text, title: text },
    `SELECT recipe.id, recipe.title FROM adaptation JOIN recipe ON recipe.id = adaptation.recipe_id
     CROSS JOIN LATERAL (SELECT dining_table->'rules' AS rules) AS kept
     WHERE recipe.deleted_at IS NULL AND ${ANY_RULE}
       AND ($2::jsonb IS NULL OR EXISTS (SELECT 1 FROM search_index WHERE recipe_id = recipe.id AND food_ids && ARRAY(SELECT jsonb_array_elements_text($2::jsonb))))
     ORDER BY recipe.title, recipe.id LIMIT $3`,
    [JSON.stringify(rules), foodIds && JSON.stringify(foodIds), limit],
  );
}

/** Versions kept for a table with any of these rules, that hold any of these foods. */
export async function versionsKeeping(
  db: Connection,
  rules: readonly string[],
  foodIds: readonly string[],
  limit: number,
): Promise<readonly { readonly id: string; readonly title: string; readonly label: string }[]> {
  return many(
    db,
    { id: text, title: text, label: text },
    `SELECT id, title, label FROM version CROSS JOIN LATERAL (SELECT snapshot->'table'->'rules' AS rules) AS kept
     WHERE deleted_at IS NULL AND ${ANY_RULE} AND EXISTS (
       SELECT 1 FROM jsonb_array_elements(snapshot->'rows') AS line
       JOIN jsonb_array_elements_text($2::jsonb) AS food ON coalesce(line->>'foodId', line->'food'->>'id') = food)
     ORDER BY kept_at DESC, id LIMIT $3`,
    [JSON.stringify(rules), JSON.stringify(foodIds), limit],
  );
}

/** How many recipes hold any of these foods. */
export async function countRecipesHolding(db: Connection, foodIds: readonly string[]): Promise<number> {
  const { total } = await one(
    db,
    { total: number },
    `SELECT count(*)::int AS total FROM search_index JOIN recipe ON id = recipe_id
     WHERE deleted_at IS NULL AND food_ids && ARRAY(SELECT jsonb_array_elements_text($1::jsonb))`,
    [JSON.stringify(foodIds)],
  );
  return total;
}
