import type { Connection } from "./database";
import { maybe, maybeOne, number, text, time } from "./rows";

/** A picture of a batch, without its bytes. */
export interface PhotoFacts {
  readonly width: number;
  readonly height: number;
  /** "#d7a452"; null where none was picked. */
  readonly shade: string | null;
  readonly takenAt: string;
}

const FACTS = { width: number, height: number, shade: maybe(text), taken_at: time };

export async function findPhoto(db: Connection, batchId: string): Promise<PhotoFacts | null> {
  const row = await maybeOne(db, FACTS, "SELECT width, height, shade, taken_at FROM photo WHERE batch_id = $1", [batchId]);
  return row && { width: row.width, height: row.height, shade: row.shade, takenAt: row.taken_at };
}

/** The picture itself, base64; null where there is none. */
export async function findJpeg(db: Connection, batchId: string): Promise<string | null> {
  return (await maybeOne(db, { jpeg: text }, "SELECT jpeg FROM photo WHERE batch_id = $1", [batchId]))?.jpeg ?? null;
}

export async function writePhoto(db: Connection, batchId: string, jpeg: string, { width, height, shade, takenAt }: PhotoFacts): Promise<void> {
  await db.query(
    `INSERT INTO photo (batch_id, jpeg, width, height, shade, taken_at) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (batch_id) DO UPDATE SET jpeg = excluded.jpeg, width = excluded.width, height = excluded.height, shade = excluded.shade, taken_at = excluded.taken_at`,
    [batchId, jpeg, width, height, shade, takenAt],
  );
}

/** Writes which shade was picked; false where there is no picture. */
export async function writeShade(db: Connection, batchId: string, shade: string | null): Promise<boolean> {
  return (await db.query("UPDATE photo SET shade = $2 WHERE batch_id = $1 RETURNING batch_id", [batchId, shade])).length > 0;
}

export async function deletePhoto(db: Connection, batchId: string): Promise<boolean> {
  return (await db.query("DELETE FROM photo WHERE batch_id = $1 RETURNING batch_id", [batchId])).length > 0;
}
