import { SERVING_TEMPERATURES, type ServingTemperature } from "../core/food";
import { TRIANGLE_AIMS, type TriangleAim } from "../core/sensory";
import type { Connection } from "./database";
import { many, maybe, maybeOne, number, text, time, truth, word } from "./rows";

/** A triangle test of two batches. */
export interface StoredTriangle {
  readonly id: string;
  readonly batches: readonly [a: string, b: string];
  readonly aim: TriangleAim;
  /** The share of eaters that tell them apart from which on it matters. */
  readonly tell: number;
  readonly planned: number;
  readonly seed: number;
  readonly served: ServingTemperature;
  /** Who serves; the id null of a guest. */
  readonly server: { readonly eater: string | null; readonly name: string };
  readonly begunAt: string;
  /** Null while answers are taken. */
  readonly endedAt: string | null;
}

/** What was chosen of one set of cups. */
export interface StoredTriangleAnswer {
  readonly id: string;
  readonly place: number;
  readonly eaterId: string | null;
  readonly name: string;
  readonly isGuest: boolean;
  readonly code: string;
  readonly saw: boolean;
  readonly answeredAt: string;
}

const TEST = {
  id: text,
  batch_a: text,
  batch_b: text,
  aim: word(TRIANGLE_AIMS),
  tell: number,
  planned: number,
  seed: number,
  served: word(SERVING_TEMPERATURES),
  server_id: maybe(text),
  server: text,
  begun_at: time,
  ended_at: maybe(time),
};
const COLUMNS = "id, batch_a, batch_b, aim, tell::float8 AS tell, planned, seed, served, server_id, server, begun_at, ended_at";
type Columns<C extends Record<string, (value: unknown) => unknown>> = { readonly [Name in keyof C]: ReturnType<C[Name]> };
const read = ({ batch_a, batch_b, server_id, server, begun_at, ended_at, ...row }: Columns<typeof TEST>): StoredTriangle => ({
  ...row,
  batches: [batch_a, batch_b],
  server: { eater: server_id, name: server },
  begunAt: begun_at,
  endedAt: ended_at,
});

export async function insertTriangle(db: Connection, test: StoredTriangle): Promise<void> {
  const { id, batches, aim, tell, planned, seed, served, server, begunAt } = test;
  await db.query(
    `INSERT INTO triangle_test (id, batch_a, batch_b, aim, tell, planned, seed, served, server_id, server, begun_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) ON CONFLICT (id) DO NOTHING`,
    [id, ...batches, aim, tell, planned, seed, served, server.eater, server.name, begunAt],
  );
}

export async function findTriangle(db: Connection, id: string): Promise<StoredTriangle | null> {
  const row = await maybeOne(db, TEST, `SELECT ${COLUMNS} FROM triangle_test WHERE id = $1`, [id]);
  return row && read(row);
}

/** What a sample of a test is called, deleted or not. */
export interface SampleName {
  readonly batch: string;
  readonly title: string;
  /** Null of the recipe as handed down. */
  readonly label: string | null;
  readonly begunAt: string;
}
export async function sampleNames(db: Connection, { batches }: Pick<StoredTriangle, "batches">): Promise<readonly SampleName[]> {
  const rows = await many(
    db,
    { id: text, title: text, label: maybe(text), begun_at: time },
    "SELECT id, title, label, begun_at FROM batch WHERE id IN ($1, $2) ORDER BY id = $1 DESC",
    batches,
  );
  return rows.map(({ id, begun_at, ...row }) => ({ ...row, batch: id, begunAt: begun_at }));
}

/** Triangle tests that a batch is one sample of, the latest first. */
export async function trianglesOf(db: Connection, batchId: string): Promise<readonly StoredTriangle[]> {
  return (await many(db, TEST, `SELECT ${COLUMNS} FROM triangle_test WHERE batch_a = $1 OR batch_b = $1 ORDER BY begun_at DESC, id`, [batchId])).map(read);
}

/** Locks a test for as long as a transaction lasts, so that two answers come one after the other. */
export async function lockTriangle(db: Connection, id: string): Promise<StoredTriangle | null> {
  const row = await maybeOne(db, TEST, `SELECT ${COLUMNS} FROM triangle_test WHERE id = $1 FOR UPDATE`, [id]);
  return row && read(row);
}

/** Ends a test; one that is over stays as it is. */
export async function endTriangle(db: Connection, id: string, at: string): Promise<void> {
  await db.query("UPDATE triangle_test SET ended_at = $2 WHERE id = $1 AND ended_at IS NULL", [id, at]);
}

/** Deletes a test with its answers; false where there is none. */
export async function deleteTriangle(db: Connection, id: string): Promise<boolean> {
  return (await maybeOne(db, { id: text }, "DELETE FROM triangle_test WHERE id = $1 RETURNING id", [id])) !== null;
}

const ANSWER = { id: text, place: number, eater_id: maybe(text), name: text, is_guest: truth, code: text, saw: truth, answered_at: time };
/** What was chosen, in the order of the cups. */
export async function triangleAnswers(db: Connection, testId: string): Promise<readonly StoredTriangleAnswer[]> {
  const rows = await many(
    db,
    ANSWER,
    "SELECT id, place, eater_id, name, is_guest, code, saw, answered_at FROM triangle_answer WHERE test_id = $1 ORDER BY place",
    [testId],
  );
  return rows.map(({ eater_id, is_guest, answered_at, ...row }) => ({ ...row, eaterId: eater_id, isGuest: is_guest, answeredAt: answered_at }));
}

export async function insertTriangleAnswer(db: Connection, testId: string, answer: StoredTriangleAnswer): Promise<void> {
  const { id, place, eaterId, name, isGuest, code, saw, answeredAt } = answer;
  await db.query(
    "INSERT INTO triangle_answer (id, test_id, place, eater_id, name, is_guest, code, saw, answered_at) VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9)",
    [id, testId, place, eaterId, name, isGuest, code, saw, answeredAt],
  );
}

/** Notes whether somebody saw the codes; false where there is no such answer. */
export async function writeSaw(db: Connection, testId: string, id: string, saw: boolean): Promise<boolean> {
  return (await maybeOne(db, { id: text }, "UPDATE triangle_answer SET saw = $3 WHERE test_id = $1 AND id = $2 RETURNING id", [testId, id, saw])) !== null;
}
