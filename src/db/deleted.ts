import type { Connection } from "./database";
import { many, text, time, word } from "./rows";

/** What can be deleted, and put back until it is forgotten. */
export const DELETABLE = ["recipe", "version", "batch", "gathering"] as const;
export type DeletableTable = (typeof DELETABLE)[number];

export interface DeletedItem {
  readonly kind: DeletableTable;
  readonly id: string;
  readonly title: string;
  readonly deletedAt: string;
}

/** Marks something as deleted; false where there is no such thing. */
export async function markDeleted(db: Connection, kind: DeletableTable, id: string, at: string): Promise<boolean> {
  return (await db.query(`UPDATE ${kind} SET deleted_at = $2 WHERE id = $1 AND deleted_at IS NULL RETURNING id`, [id, at])).length > 0;
}

/** Takes a delete back; false where there is nothing to put back. */
export async function putBack(db: Connection, kind: DeletableTable, id: string): Promise<boolean> {
  return (await db.query(`UPDATE ${kind} SET deleted_at = NULL WHERE id = $1 AND deleted_at IS NOT NULL RETURNING id`, [id])).length > 0;
}

/** All that is deleted and can still be put back, the latest first. */
export async function listDeleted(db: Connection): Promise<readonly DeletedItem[]> {
  const rows = await many(
    db,
    { kind: word(DELETABLE), id: text, title: text, deleted_at: time },
    `SELECT 'recipe' AS kind, id, title, deleted_at FROM recipe WHERE deleted_at IS NOT NULL
     UNION ALL SELECT 'version', id, title || ', ' || label, deleted_at FROM version WHERE deleted_at IS NOT NULL
     UNION ALL SELECT 'batch', id, title || coalesce(', ' || label, ''), deleted_at FROM batch WHERE deleted_at IS NOT NULL
     UNION ALL SELECT 'gathering', id, title, deleted_at FROM gathering WHERE deleted_at IS NOT NULL
     ORDER BY deleted_at DESC, id LIMIT 500`,
  );
  return rows.map(({ deleted_at, ...row }) => ({ ...row, deletedAt: deleted_at }));
}

/** Forgets for good what was deleted before `before`. A recipe's versions stay, without it. */
export async function forgetDeleted(db: Connection, before: string): Promise<void> {
  await db.query("DELETE FROM gathering WHERE deleted_at < $1", [before]);
  await db.query("DELETE FROM batch WHERE deleted_at < $1", [before]);
  await db.query("DELETE FROM version WHERE deleted_at < $1", [before]);
  await db.query("DELETE FROM recipe WHERE deleted_at < $1", [before]);
}
