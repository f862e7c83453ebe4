import type { Connection } from "./database";

/** Table and bench of a recipe as stored; their shapes are the server's, checked at its door. */
export interface StoredAdaptation {
  readonly table: unknown;
  readonly bench: unknown;
  readonly revision: number;
}

export async function findAdaptation(db: Connection, recipeId: string): Promise<StoredAdaptation | null> {
  const [row] = await db.query<{ dining_table: unknown; bench: unknown; revision: number }>(
    "SELECT dining_table, bench, revision FROM adaptation WHERE recipe_id = $1",
    [recipeId],
  );
  return row ? { table: row.dining_table, bench: row.bench, revision: row.revision } : null;
}

/** Sets the table; the bench is kept. Makes the adaptation where there is none. */
export async function saveTable(db: Connection, recipeId: string, table: unknown): Promise<void> {
  await db.query(
    `INSERT INTO adaptation (recipe_id, dining_table) VALUES ($1, $2::jsonb)
     ON CONFLICT (recipe_id) DO UPDATE SET dining_table = excluded.dining_table, revision = adaptation.revision + 1, updated_at = now()`,
    [recipeId, JSON.stringify(table)],
  );
}

export async function saveBench(db: Connection, recipeId: string, table: unknown, bench: unknown): Promise<void> {
  await db.query(
    `INSERT INTO adaptation (recipe_id, dining_table, bench) VALUES ($1, $2::jsonb, $3::jsonb)
     ON CONFLICT (recipe_id) DO UPDATE SET bench = excluded.bench, revision = adaptation.revision + 1, updated_at = now()`,
    [recipeId, JSON.stringify(table), JSON.stringify(bench)],
  );
}
