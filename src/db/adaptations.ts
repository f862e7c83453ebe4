import type { Connection } from "./database";
import { json, many, maybeOne, number, time } from "./rows";

/** Table and bench of a recipe as stored; their shapes are the server's, checked as they come in. Revision 0: never saved. */
export interface StoredAdaptation {
  readonly table: unknown;
  readonly tableRevision: number;
  readonly bench: unknown;
  readonly benchRevision: number;
}

export async function findAdaptation(db: Connection, recipeId: string): Promise<StoredAdaptation> {
  const row = await maybeOne(
    db,
    { dining_table: json, table_revision: number, bench: json, bench_revision: number },
    "SELECT dining_table, table_revision, bench, bench_revision FROM adaptation WHERE recipe_id = $1",
    [recipeId],
  );
  return { table: row?.dining_table ?? null, tableRevision: row?.table_revision ?? 0, bench: row?.bench ?? null, benchRevision: row?.bench_revision ?? 0 };
}

const PARTS = { table: ["dining_table", "table_revision"], bench: ["bench", "bench_revision"] } as const;

/** States of a bench that are kept beside the one that lies on it. */
const STATES_KEPT = 60;

/** Takes down what lies on a bench at this revision before another takes its place; of the oldest those over the number go. */
export async function keepBenchState(db: Connection, recipeId: string, revision: number, at: string): Promise<void> {
  await db.query(
    `INSERT INTO bench_state (recipe_id, revision, bench, replaced_at)
     SELECT recipe_id, bench_revision, bench, $3 FROM adaptation
     WHERE recipe_id = $1 AND bench_revision = $2::int AND bench_revision > 0 AND jsonb_typeof(bench) = 'object'
     ON CONFLICT (recipe_id, revision) DO NOTHING`,
    [recipeId, revision, at],
  );
  await db.query(
    `DELETE FROM bench_state WHERE recipe_id = $1 AND revision <=
       (SELECT revision FROM bench_state WHERE recipe_id = $1 ORDER BY revision DESC LIMIT 1 OFFSET ${STATES_KEPT})`,
    [recipeId],
  );
}

export interface BenchStateRow {
  readonly revision: number;
  readonly bench: unknown;
  /** When another took its place, ISO. */
  readonly replacedAt: string;
}

/** What lay on a bench before, the latest first. */
export async function benchStates(db: Connection, recipeId: string): Promise<readonly BenchStateRow[]> {
  const rows = await many(
    db,
    { revision: number, bench: json, replaced_at: time },
    `SELECT revision, bench, replaced_at FROM bench_state WHERE recipe_id = $1 ORDER BY revision DESC LIMIT ${STATES_KEPT}`,
    [recipeId],
  );
  return rows.map(({ revision, bench, replaced_at }) => ({ revision, bench, replacedAt: replaced_at }));
}

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
  const row = await maybeOne(
    db,
    { revision: number },
    `INSERT INTO adaptation (recipe_id, ${column}, ${counter}, updated_at) VALUES ($1, $2::jsonb, 1, $4)
     ON CONFLICT (recipe_id) DO UPDATE SET ${column} = excluded.${column}, ${counter} = adaptation.${counter} + 1, updated_at = excluded.updated_at
     WHERE adaptation.${counter} = $3::int
     RETURNING ${counter} AS revision`,
    [recipeId, JSON.stringify(document), revision, at],
  );
  return row?.revision ?? null;
}
