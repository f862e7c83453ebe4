import type { Connection } from "./database";

export interface VersionSummary {
  readonly id: string;
  readonly recipeId: string | null;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
}

interface Row {
  readonly id: string;
  readonly recipe_id: string | null;
  readonly title: string;
  readonly label: string;
  readonly kept_at: Date | string;
}

const read = (row: Row): VersionSummary => ({
  id: row.id,
  recipeId: row.recipe_id,
  title: row.title,
  label: row.label,
  keptAt: new Date(row.kept_at).toISOString(),
});

export async function insertVersion(
  db: Connection,
  version: { readonly id: string; readonly recipeId: string; readonly title: string; readonly label: string; readonly snapshot: unknown },
  at: string,
): Promise<void> {
  await db.query("INSERT INTO version (id, recipe_id, title, label, snapshot, kept_at) VALUES ($1, $2, $3, $4, $5::jsonb, $6)", [
    version.id,
    version.recipeId,
    version.title,
    version.label,
    JSON.stringify(version.snapshot),
    at,
  ]);
}

export async function findVersion(db: Connection, id: string): Promise<(VersionSummary & { readonly snapshot: unknown }) | null> {
  const [row] = await db.query<Row & { snapshot: unknown }>(
    "SELECT id, recipe_id, title, label, kept_at, snapshot FROM version WHERE id = $1 AND deleted_at IS NULL",
    [id],
  );
  return row ? { ...read(row), snapshot: row.snapshot } : null;
}

/** Newest first; of one recipe, or of all where `recipeId` is null. */
export async function listVersions(db: Connection, recipeId: string | null, limit: number): Promise<readonly VersionSummary[]> {
  const rows = await db.query<Row>(
    "SELECT id, recipe_id, title, label, kept_at FROM version WHERE deleted_at IS NULL AND ($1::text IS NULL OR recipe_id = $1) ORDER BY kept_at DESC, id LIMIT $2",
    [recipeId, limit],
  );
  return rows.map(read);
}

/** The versions kept last, with what was kept. */
export async function latestVersions(db: Connection, limit: number): Promise<readonly (VersionSummary & { readonly snapshot: unknown })[]> {
  const rows = await db.query<Row & { snapshot: unknown }>(
    "SELECT id, recipe_id, title, label, kept_at, snapshot FROM version WHERE deleted_at IS NULL ORDER BY kept_at DESC, id LIMIT $1",
    [limit],
  );
  return rows.map((row) => ({ ...read(row), snapshot: row.snapshot }));
}

export async function countVersions(db: Connection): Promise<number> {
  const [row] = await db.query<{ total: number }>("SELECT count(*)::int AS total FROM version WHERE deleted_at IS NULL");
  return row?.total ?? 0;
}
