import type { Connection } from "./database";

/** Table and bench of a recipe as stored; their shapes are the server's, checked at its door. Revision 0: never saved. */
export interface StoredAdaptation {
  readonly table: unknown;
  readonly tableRevision: number;
  readonly bench: unknown;
  readonly benchRevision: number;
}

export async function findAdaptation(db: Connection, recipeId: string): Promise<StoredAdaptation> {
  const [row] = await db.query<{ dining_table: unknown; table_revision: number; bench: unknown; bench_revision: number }>(
    "SELECT dining_table, table_revision, bench, bench_revision FROM adaptation WHERE recipe_id = $1",
    [recipeId],
  );
  return { table: row?.dining_table ?? null, tableRevision: row?.table_revision ?? 0, bench: row?.bench ?? null, benchRevision: row?.bench_revision ?? 0 };
}

const PARTS = { table: ["dining_table", "table_revision"], bench: ["bench", "bench_revision"] } as const;

/**
 * Saves the table or the bench of a recipe over the revision that was read, and returns the new revision; null where
 * another save came between, and nothing is written. Makes the adaptation where there is none.
 */
export async function saveAdaptation(
  db: Connection,
  recipeId: string,
  part: keyof typeof PARTS,
  document: unknown,
  revision: number,
  at: string,
): Promise<number | null> {
  const [column, counter] = PARTS[part];
  const [row] = await db.query<{ revision: number }>(
    `INSERT INTO adaptation (recipe_id, ${column}, ${counter}, updated_at) VALUES ($1, $2::jsonb, 1, $4)
     ON CONFLICT (recipe_id) DO UPDATE SET ${column} = excluded.${column}, ${counter} = adaptation.${counter} + 1, updated_at = excluded.updated_at
     WHERE adaptation.${counter} = $3::int
     RETURNING ${counter} AS revision`,
    [recipeId, JSON.stringify(document), revision, at],
  );
  return row?.revision ?? null;
}
