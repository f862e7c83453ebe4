import type { Recipe } from "../core/recipe";
import type { Connection } from "./database";
import { documentOf, json, many, number, one, text, time } from "./rows";

/** A recipe that is worked on: what is stored of it, and how many versions were kept. */
export interface OnTheGo {
  readonly id: string;
  readonly recipe: Recipe;
  readonly table: unknown;
  readonly bench: unknown;
  readonly versionCount: number;
  /** When the recipe, its table or its bench was last changed, ISO. */
  readonly touchedAt: string;
}

/** When each was last changed, and when a version of it was last kept. */
const TOUCHED = `(
  SELECT recipe.id, GREATEST(recipe.updated_at, adaptation.updated_at) AS touched_at,
    count(version.id)::int AS version_count, max(version.kept_at) AS kept_at
  FROM recipe
  LEFT JOIN adaptation ON adaptation.recipe_id = recipe.id
  LEFT JOIN version ON version.recipe_id = recipe.id AND version.deleted_at IS NULL
  WHERE recipe.deleted_at IS NULL
  GROUP BY recipe.id, adaptation.recipe_id
) AS touched`;
const STILL_GOING = "(kept_at IS NULL OR kept_at < touched_at)";

export async function countOnTheGo(db: Connection, since: string): Promise<number> {
  const { total } = await one(db, { total: number }, `SELECT count(*)::int AS total FROM ${TOUCHED} WHERE touched_at >= $1 AND ${STILL_GOING}`, [since]);
  return total;
}

/** Recipes that were worked on since a moment, and of which nothing was kept since then; the latest first, and how many there are of them. */
export async function listOnTheGo(db: Connection, since: string, limit: number): Promise<{ readonly items: readonly OnTheGo[]; readonly total: number }> {
  const rows = await many(
    db,
    { id: text, document: documentOf<Recipe>(), dining_table: json, bench: json, version_count: number, touched_at: time, total: number },
    `SELECT going.id, document, dining_table, bench, version_count, touched_at, total
     FROM (
       SELECT id, touched_at, version_count, (count(*) OVER ())::int AS total FROM ${TOUCHED}
       WHERE touched_at >= $2 AND ${STILL_GOING}
       ORDER BY touched_at DESC, id LIMIT $1
     ) AS going JOIN recipe USING (id) LEFT JOIN adaptation ON adaptation.recipe_id = going.id
     ORDER BY touched_at DESC, going.id`,
    [limit, since],
  );
  return {
    items: rows.map(({ id, document, dining_table, bench, version_count, touched_at }) => ({
      id,
      recipe: document,
      table: dining_table,
      bench,
      versionCount: version_count,
      touchedAt: touched_at,
    })),
    total: rows[0]?.total ?? 0,
  };
}
