import type { Outcome } from "../core/learning";
import type { LoggedBatch } from "../core/views";
import type { Connection } from "./database";
import { documentOf, many, number, text } from "./rows";

/** Under this key of the settings stands how often what batches teach has changed. */
export const BATCHES_KEY = "batches";

/** Notes that what batches teach is not what it was: one is done, taken up again, told more of, deleted or put back. */
export async function noteTaught(db: Connection): Promise<void> {
  await db.query("INSERT INTO setting (key, value, revision) VALUES ($1, 'true'::jsonb, 1) ON CONFLICT (key) DO UPDATE SET revision = setting.revision + 1", [
    BATCHES_KEY,
  ]);
}

/** Has the outcomes of a batch worked out anew: other is said of it. */
export async function forgetOutcomes(db: Connection, batchId: string): Promise<void> {
  await db.query("DELETE FROM batch_outcome WHERE batch_id = $1", [batchId]);
  await noteTaught(db);
}

const LAST = "(SELECT coalesce(max(place), 0) FROM cook_event WHERE cook_event.batch_id = batch.id)";
const DONE = "deleted_at IS NULL AND ended_at IS NOT NULL";
const OLD = `(batch_outcome.batch_id IS NULL OR basis <> $1 OR events <> ${LAST})`;

/** Batches that are done whose outcomes are not worked out, or by another basis or fewer events; the latest first. */
export async function withoutOutcomes(db: Connection, basis: string, limit: number): Promise<readonly { readonly id: string; readonly events: number }[]> {
  return many(
    db,
    { id: text, events: number },
    `SELECT id, ${LAST}::int AS events FROM batch LEFT JOIN batch_outcome ON batch_outcome.batch_id = id WHERE ${DONE} AND ${OLD} ORDER BY ended_at DESC, id LIMIT $2`,
    [basis, limit],
  );
}

/** What was worked out of a batch: what it has shown, what the logbook tells of it, and by what it is found. */
export interface LookedThrough {
  readonly outcomes: readonly Outcome[];
  readonly logged: LoggedBatch | null;
  readonly words: string;
  /** The day on which it was made, where the household is. */
  readonly madeOn: string;
}

export async function writeOutcomes(
  db: Connection,
  batchId: string,
  basis: string,
  events: number,
  { outcomes, logged, words, madeOn }: LookedThrough,
): Promise<void> {
  await db.query(
    `INSERT INTO batch_outcome (batch_id, basis, events, outcomes, logged, words, seats, made_on)
     SELECT id, $2, $3, $4::jsonb, $5::jsonb, $6, ARRAY(SELECT jsonb_array_elements_text($7::jsonb)), $8 FROM batch WHERE id = $1
     ON CONFLICT (batch_id) DO UPDATE SET basis = excluded.basis, events = excluded.events, outcomes = excluded.outcomes, logged = excluded.logged,
       words = excluded.words, seats = excluded.seats, made_on = excluded.made_on`,
    [batchId, basis, events, JSON.stringify(outcomes), logged && JSON.stringify(logged), words, JSON.stringify(logged?.seats ?? []), madeOn],
  );
}

/** The outcomes of all batches that are done, as far as they are worked out by this basis. */
export async function listOutcomes(db: Connection, basis: string): Promise<readonly Outcome[]> {
  const rows = await many(
    db,
    { outcomes: documentOf<readonly Outcome[]>() },
    `SELECT outcomes FROM batch JOIN batch_outcome ON batch_id = id WHERE ${DONE} AND basis = $1`,
    [basis],
  );
  return rows.flatMap(({ outcomes }) => outcomes);
}
