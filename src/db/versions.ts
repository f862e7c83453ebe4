import type { Connection } from "./database";
import { json, many, maybe, maybeOne, number, one, text, time } from "./rows";

export interface VersionSummary {
  readonly id: string;
  readonly recipeId: string | null;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
  /** The version it was worked on from; null where from the recipe as handed down. */
  readonly parentId: string | null;
  readonly why: string;
  readonly whom: string;
}

export interface StoredVersion extends VersionSummary {
  readonly snapshot: unknown;
}

const SUMMARY = { id: text, recipe_id: maybe(text), title: text, label: text, kept_at: time, parent_id: maybe(text), why: text, whom: text };
const WHOLE = { ...SUMMARY, snapshot: json };
type Columns<C extends Record<string, (value: unknown) => unknown>> = { readonly [Name in keyof C]: ReturnType<C[Name]> };

const COLUMNS = "id, recipe_id, title, label, kept_at, parent_id, why, whom";

const read = ({ id, recipe_id, title, label, kept_at, parent_id, why, whom }: Columns<typeof SUMMARY>): VersionSummary => ({
  id,
  recipeId: recipe_id,
  title,
  label,
  keptAt: kept_at,
  parentId: parent_id,
  why,
  whom,
});
const readWhole = (row: Columns<typeof WHOLE>): StoredVersion => ({ ...read(row), snapshot: row.snapshot });

/** Keeps a version; a parent that is gone is none. */
export async function insertVersion(
  db: Connection,
  version: Omit<StoredVersion, "keptAt" | "recipeId"> & { readonly recipeId: string },
  at: string,
): Promise<void> {
  await db.query(
    `INSERT INTO version (id, recipe_id, title, label, snapshot, kept_at, parent_id, why, whom)
     VALUES ($1, $2, $3, $4, $5::jsonb, $6, (SELECT id FROM version WHERE id = $7 AND recipe_id = $2), $8, $9)`,
    [version.id, version.recipeId, version.title, version.label, JSON.stringify(version.snapshot), at, version.parentId, version.why, version.whom],
  );
}

export async function findVersion(db: Connection, id: string): Promise<StoredVersion | null> {
  const row = await maybeOne(db, WHOLE, `SELECT ${COLUMNS}, snapshot FROM version WHERE id = $1 AND deleted_at IS NULL`, [id]);
  return row ? readWhole(row) : null;
}

/** Several whole versions by their ids, in no order; those that are not there are left out. */
export async function findVersions(db: Connection, ids: readonly string[]): Promise<readonly StoredVersion[]> {
  const rows = await many(
    db,
    WHOLE,
    `SELECT ${COLUMNS}, snapshot FROM version WHERE deleted_at IS NULL AND id IN (SELECT jsonb_array_elements_text($1::jsonb))`,
    [JSON.stringify(ids)],
  );
  return rows.map(readWhole);
}

/** Newest first; of one recipe, or of all where `recipeId` is null. */
export async function listVersions(db: Connection, recipeId: string | null, limit: number): Promise<readonly VersionSummary[]> {
  const rows = await many(
    db,
    SUMMARY,
    `SELECT ${COLUMNS} FROM version WHERE deleted_at IS NULL AND ($1::text IS NULL OR recipe_id = $1) ORDER BY kept_at DESC, id LIMIT $2`,
    [recipeId, limit],
  );
  return rows.map(read);
}

/** The versions kept last, with what was kept; of one recipe, or of all. */
export async function latestVersions(db: Connection, recipeId: string | null, limit: number): Promise<readonly StoredVersion[]> {
  const rows = await many(
    db,
    WHOLE,
    `SELECT ${COLUMNS}, snapshot FROM version WHERE deleted_at IS NULL AND ($1::text IS NULL OR recipe_id = $1) ORDER BY kept_at DESC, id LIMIT $2`,
    [recipeId, limit],
  );
  return rows.map(readWhole);
}

/** What a version is called, why it was made and for whom; false where there is no such version. */
export async function describeVersion(
  db: Connection,
  id: string,
  told: { readonly label: string; readonly why: string; readonly whom: string },
): Promise<boolean> {
  const rows = await db.query("UPDATE version SET label = $2, why = $3, whom = $4 WHERE id = $1 AND deleted_at IS NULL RETURNING id", [
    id,
    told.label,
    told.why,
    told.whom,
  ]);
  return rows.length > 0;
}

export async function countVersions(db: Connection): Promise<number> {
  return (await one(db, { total: number }, "SELECT count(*)::int AS total FROM version WHERE deleted_at IS NULL")).total;
}
