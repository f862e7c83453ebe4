import type { Connection } from "./database";
import { json, many, maybeOne, number, text, time, truth } from "./rows";

/** A gathering as it is stored; document and plan as they were written. */
export interface StoredGathering {
  readonly id: string;
  readonly document: unknown;
  readonly revision: number;
  readonly plan: unknown;
  readonly createdAt: string;
}
/** A gathering in a list. */
export interface GatheringSummary {
  readonly id: string;
  readonly title: string;
  readonly readyAt: string;
  readonly document: unknown;
  readonly plan: unknown;
}
/** Something that is ticked off, or was and is not any more. */
export interface StoredTick {
  readonly what: string;
  readonly isDone: boolean;
  readonly at: string;
}

const WHOLE = { id: text, document: json, revision: number, plan: json, created_at: time };

export async function findGathering(db: Connection, id: string): Promise<StoredGathering | null> {
  const row = await maybeOne(db, WHOLE, "SELECT id, document, revision, plan, created_at FROM gathering WHERE id = $1 AND deleted_at IS NULL", [id]);
  if (!row) return null;
  const { created_at, ...rest } = row;
  return { ...rest, createdAt: created_at };
}

/** Those to come first, the next first; then those that are past, the latest first. */
export async function listGatherings(db: Connection, now: string, limit: number): Promise<readonly GatheringSummary[]> {
  const rows = await many(
    db,
    { id: text, title: text, ready_at: time, document: json, plan: json },
    `SELECT id, title, ready_at, document, plan FROM gathering WHERE deleted_at IS NULL
     ORDER BY ready_at < $1, CASE WHEN ready_at < $1 THEN NULL ELSE ready_at END, ready_at DESC, id LIMIT $2`,
    [now, limit],
  );
  return rows.map(({ ready_at, ...row }) => ({ ...row, readyAt: ready_at }));
}

/** The next gathering to come, and how many there are. */
export async function nextGathering(
  db: Connection,
  now: string,
): Promise<{ readonly id: string; readonly title: string; readonly readyAt: string; readonly timeZone: string } | null> {
  const row = await maybeOne(
    db,
    { id: text, title: text, ready_at: time, time_zone: text },
    "SELECT id, title, ready_at, document->>'timeZone' AS time_zone FROM gathering WHERE deleted_at IS NULL AND ready_at >= $1 ORDER BY ready_at, id LIMIT 1",
    [now],
  );
  return row && { id: row.id, title: row.title, readyAt: row.ready_at, timeZone: row.time_zone };
}

interface Written {
  readonly id: string;
  readonly title: string;
  readonly readyAt: string;
  readonly document: unknown;
}
/** Adds a gathering once; sent again it is there already. */
export async function insertGathering(db: Connection, { id, title, readyAt, document }: Written, at: string): Promise<void> {
  await db.query(
    `INSERT INTO gathering (id, title, ready_at, document, created_at, updated_at) VALUES ($1, $2, $3, $4::jsonb, $5, $5) ON CONFLICT (id) DO NOTHING`,
    [id, title, readyAt, JSON.stringify(document), at],
  );
}
/** Writes it over the revision that was read; the new one, null where it is another by now, or gone. */
export async function updateGathering(db: Connection, { id, title, readyAt, document }: Written, revision: number, at: string): Promise<number | null> {
  const row = await maybeOne(
    db,
    { revision: number },
    `UPDATE gathering SET title = $3, ready_at = $4, document = $5::jsonb, updated_at = $6, revision = revision + 1
     WHERE id = $1 AND revision = $2 AND deleted_at IS NULL RETURNING revision`,
    [id, revision, title, readyAt, JSON.stringify(document), at],
  );
  return row?.revision ?? null;
}

/** Writes what it was solved to; false where there is no such gathering. */
export async function writePlan(db: Connection, id: string, plan: unknown): Promise<boolean> {
  const sql = "UPDATE gathering SET plan = $2::jsonb WHERE id = $1 AND deleted_at IS NULL RETURNING id";
  return (await db.query(sql, [id, JSON.stringify(plan)])).length > 0;
}
/** Locks a gathering for as long as a transaction lasts; what calendars were given of it. */
export async function lockCalendar(db: Connection, id: string): Promise<{ readonly calendar: unknown } | null> {
  return maybeOne(db, { calendar: json }, "SELECT calendar FROM gathering WHERE id = $1 AND deleted_at IS NULL FOR UPDATE", [id]);
}
export async function writeCalendar(db: Connection, id: string, calendar: unknown): Promise<void> {
  await db.query("UPDATE gathering SET calendar = $2::jsonb WHERE id = $1", [id, JSON.stringify(calendar)]);
}

export async function ticksOf(db: Connection, gatheringId: string): Promise<readonly StoredTick[]> {
  const rows = await many(db, { what: text, is_done: truth, at: time }, "SELECT what, is_done, at FROM gathering_tick WHERE gathering_id = $1 ORDER BY what", [
    gatheringId,
  ]);
  return rows.map(({ is_done, ...row }) => ({ ...row, isDone: is_done }));
}
/** Ticks something off, or not any more; what was said later stays. */
export async function writeTick(db: Connection, gatheringId: string, { what, isDone, at }: StoredTick): Promise<void> {
  await db.query(
    `INSERT INTO gathering_tick (gathering_id, what, is_done, at) VALUES ($1, $2, $3, $4)
     ON CONFLICT (gathering_id, what) DO UPDATE SET is_done = excluded.is_done, at = excluded.at WHERE gathering_tick.at <= excluded.at`,
    [gatheringId, what, isDone, at],
  );
}
