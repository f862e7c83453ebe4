import type { CookEvent, CookPlan } from "../core/cook";
import type { CookGround } from "../core/views";
import type { Connection } from "./database";
import { documentOf, many, maybe, maybeOne, number, one, text, time } from "./rows";

/** A batch as lists show it. */
export interface BatchSummary {
  readonly id: string;
  readonly recipeId: string | null;
  readonly versionId: string | null;
  readonly title: string;
  readonly label: string | null;
  readonly begunAt: string;
  /** Null while it is on the stove. */
  readonly endedAt: string | null;
  /** What it was meant to weigh, g. */
  readonly planned: number;
  /** g; null where it was not weighed. */
  readonly got: number | null;
}

export interface StoredBatch extends BatchSummary {
  readonly plan: CookPlan;
  readonly ground: CookGround;
}

export const SUMMARY = {
  id: text,
  recipe_id: maybe(text),
  version_id: maybe(text),
  title: text,
  label: maybe(text),
  begun_at: time,
  ended_at: maybe(time),
  planned: number,
  got: maybe(number),
};
const COLUMNS = "id, recipe_id, version_id, title, label, begun_at, ended_at, (plan->>'grams')::float8 AS planned, got::float8 AS got";
type Columns<C extends Record<string, (value: unknown) => unknown>> = { readonly [Name in keyof C]: ReturnType<C[Name]> };
export const readSummary = ({ id, recipe_id, version_id, title, label, begun_at, ended_at, planned, got }: Columns<typeof SUMMARY>): BatchSummary => ({
  id,
  recipeId: recipe_id,
  versionId: version_id,
  title,
  label,
  begunAt: begun_at,
  endedAt: ended_at,
  planned,
  got,
});

export async function insertBatch(
  db: Connection,
  { id, recipeId, versionId, title, label, plan, ground, begunAt }: Omit<StoredBatch, "endedAt" | "got" | "planned">,
): Promise<void> {
  await db.query(
    `INSERT INTO batch (id, recipe_id, version_id, title, label, plan, ground, begun_at)
     VALUES ($1, (SELECT id FROM recipe WHERE id = $2), (SELECT id FROM version WHERE id = $3), $4, $5, $6::jsonb, $7::jsonb, $8)`,
    [id, recipeId, versionId, title, label, JSON.stringify(plan), JSON.stringify(ground), begunAt],
  );
}

export async function findBatch(db: Connection, id: string): Promise<StoredBatch | null> {
  const row = await maybeOne(
    db,
    { ...SUMMARY, plan: documentOf<CookPlan>(), ground: documentOf<CookGround>() },
    `SELECT ${COLUMNS}, plan, ground FROM batch WHERE id = $1 AND deleted_at IS NULL`,
    [id],
  );
  return row && { ...readSummary(row), plan: row.plan, ground: row.ground };
}

/** Whether a batch is kept, deleted ones too. */
export const hasBatch = async (db: Connection, id: string): Promise<boolean> =>
  (await maybeOne(db, { id: text }, "SELECT id FROM batch WHERE id = $1", [id])) !== null;

/** What is on the stove first, then the latest. */
export async function listBatches(db: Connection, limit: number): Promise<readonly BatchSummary[]> {
  return (
    await many(db, SUMMARY, `SELECT ${COLUMNS} FROM batch WHERE deleted_at IS NULL ORDER BY ended_at IS NOT NULL, begun_at DESC, id LIMIT $1`, [limit])
  ).map(readSummary);
}

/** Events of a batch behind a place, in their order. */
export async function eventsAfter(db: Connection, batchId: string, place: number): Promise<readonly { readonly place: number; readonly event: CookEvent }[]> {
  return many(db, { place: number, event: documentOf<CookEvent>() }, "SELECT place, event FROM cook_event WHERE batch_id = $1 AND place > $2 ORDER BY place", [
    batchId,
    place,
  ]);
}

/** Locks a batch for as long as a transaction lasts, so that two writers add one after the other; its last place. */
export async function lockBatch(db: Connection, batchId: string): Promise<number> {
  await db.query("SELECT id FROM batch WHERE id = $1 FOR UPDATE", [batchId]);
  const row = await one(db, { last: maybe(number) }, "SELECT max(place) AS last FROM cook_event WHERE batch_id = $1", [batchId]);
  return row.last ?? 0;
}

export async function insertEvent(db: Connection, batchId: string, place: number, event: CookEvent): Promise<void> {
  await db.query("INSERT INTO cook_event (batch_id, place, id, event) VALUES ($1, $2, $3, $4::jsonb)", [batchId, place, event.id, JSON.stringify(event)]);
}

/** Whether it is on the stove, and what came of it, as its events say. */
export async function settleBatch(db: Connection, batchId: string, endedAt: string | null, got: number | null): Promise<void> {
  await db.query("UPDATE batch SET ended_at = $2, got = $3 WHERE id = $1", [batchId, endedAt, got]);
}
