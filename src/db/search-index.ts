import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";

/** What a recipe is found by, derived from it. */
export interface RecipeFacts {
  readonly kind: string;
  readonly foodIds: readonly string[];
  /** Ids of the rules that it meets as handed down. */
  readonly diets: readonly string[];
  readonly tags: readonly string[];
  readonly minutes: number;
}

export async function writeFacts(db: Connection, id: string, revision: number, basis: string, facts: RecipeFacts): Promise<void> {
  await db.query(
    `INSERT INTO recipe_facts (recipe_id, revision, basis, kind, food_ids, diets, tags, minutes)
     SELECT $1, $2, $3, $4, ARRAY(SELECT jsonb_array_elements_text($5::jsonb)), ARRAY(SELECT jsonb_array_elements_text($6::jsonb)),
       ARRAY(SELECT jsonb_array_elements_text($7::jsonb)), $8 FROM recipe WHERE id = $1
     ON CONFLICT (recipe_id) DO UPDATE SET revision = excluded.revision, basis = excluded.basis, kind = excluded.kind, food_ids = excluded.food_ids,
       diets = excluded.diets, tags = excluded.tags, minutes = excluded.minutes`,
    [id, revision, basis, facts.kind, JSON.stringify(facts.foodIds), JSON.stringify(facts.diets), JSON.stringify(facts.tags), facts.minutes],
  );
}

/** Recipes whose facts are not of this basis or revision, at most `limit`. */
export async function withoutFacts(
  db: Connection,
  basis: string,
  limit: number,
): Promise<readonly { readonly id: string; readonly recipe: Recipe; readonly revision: number }[]> {
  const rows = await db.query<{ id: string; document: Recipe; revision: number }>(
    `SELECT id, document, recipe.revision FROM recipe LEFT JOIN recipe_facts ON recipe_id = id
     WHERE deleted_at IS NULL AND (recipe_id IS NULL OR basis <> $1 OR recipe_facts.revision <> recipe.revision) ORDER BY updated_at DESC, id LIMIT $2`,
    [basis, limit],
  );
  return rows.map(({ id, document, revision }) => ({ id, recipe: document, revision }));
}

/** The words that recipes are found by, the most used first. */
export async function listTags(db: Connection, limit: number): Promise<readonly string[]> {
  const rows = await db.query<{ tag: string }>(
    `SELECT tag FROM recipe_facts JOIN recipe ON id = recipe_id, unnest(tags) AS tag WHERE deleted_at IS NULL GROUP BY tag ORDER BY count(*) DESC, tag LIMIT $1`,
    [limit],
  );
  return rows.map(({ tag }) => tag);
}

export async function countWithoutFacts(db: Connection, basis: string): Promise<number> {
  const [row] = await db.query<{ total: number }>(
    `SELECT count(*)::int AS total FROM recipe LEFT JOIN recipe_facts ON recipe_id = id
     WHERE deleted_at IS NULL AND (recipe_id IS NULL OR basis <> $1 OR recipe_facts.revision <> recipe.revision)`,
    [basis],
  );
  return row?.total ?? 0;
}
