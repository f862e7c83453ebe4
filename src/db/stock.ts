import { MOVE_REASONS, STOCK_KINDS, STOCK_PLACES, type InStock, type StockItem, type StockMove } from "../core/stock";
import type { Connection } from "./database";
import { many, maybe, maybeOne, number, text, time, word } from "./rows";

/** Something in stock as it is stored. */
export interface StoredStock extends InStock {
  readonly batchId: string | null;
  readonly revision: number;
}
/** A move as it is stored, with what it was of. */
export interface StoredMove extends StockMove {
  readonly foodId: string | null;
  readonly name: string;
  /** The batch that took it, and what that cooked. */
  readonly batch: { readonly id: string; readonly title: string } | null;
}

const ITEM = {
  id: text,
  food_id: maybe(text),
  name: text,
  kind: word(STOCK_KINDS),
  place: word(STOCK_PLACES),
  got_on: text,
  use_by: maybe(text),
  note: text,
  batch_id: maybe(text),
  revision: number,
  grams: number,
};
// What is left of each is counted in the database's own decimals: sums of floats would leave crumbs.
const ITEMS = `SELECT stock.id, food_id, name, kind, place, got_on::text, use_by::text, note, stock.batch_id, revision,
    coalesce((SELECT sum(grams) FROM stock_move WHERE stock_id = stock.id), 0)::float8 AS grams FROM stock`;
type Columns<C extends Record<string, (value: unknown) => unknown>> = { readonly [Name in keyof C]: ReturnType<C[Name]> };
const read = ({ food_id, got_on, use_by, batch_id, ...row }: Columns<typeof ITEM>): StoredStock => ({
  ...row,
  foodId: food_id,
  gotOn: got_on,
  useBy: use_by,
  batchId: batch_id,
});

/** All that is in stock, and what is used up too. */
export async function listStock(db: Connection): Promise<readonly StoredStock[]> {
  return (await many(db, ITEM, `${ITEMS} ORDER BY stock.id`)).map(read);
}
export async function findStock(db: Connection, id: string): Promise<StoredStock | null> {
  const row = await maybeOne(db, ITEM, `${ITEMS} WHERE stock.id = $1`, [id]);
  return row && read(row);
}

const MOVE = {
  id: text,
  item: text,
  food_id: maybe(text),
  grams: number,
  why: word(MOVE_REASONS),
  at: time,
  name: text,
  batch_id: maybe(text),
  title: maybe(text),
};
const MOVES = `SELECT stock_move.id, stock_id AS item, food_id, grams::float8 AS grams, why, at, name, stock_move.batch_id, title
  FROM stock_move JOIN stock ON stock.id = stock_id LEFT JOIN batch ON batch.id = stock_move.batch_id`;
const moved = ({ batch_id, title, food_id, ...row }: Columns<typeof MOVE>): StoredMove => ({
  ...row,
  foodId: food_id,
  batch: batch_id === null ? null : { id: batch_id, title: title ?? "" },
});
/** What came and went last, the latest first. */
export async function latestMoves(db: Connection, limit: number): Promise<readonly StoredMove[]> {
  return (await many(db, MOVE, `${MOVES} ORDER BY at DESC, stock_move.id LIMIT $1`, [limit])).map(moved);
}
/** What a batch took. */
export async function movesOfBatch(db: Connection, batchId: string): Promise<readonly StoredMove[]> {
  return (await many(db, MOVE, `${MOVES} WHERE stock_move.batch_id = $1 AND why = 'cooked' ORDER BY name, stock_move.id`, [batchId])).map(moved);
}
export async function findMove(db: Connection, id: string): Promise<StoredMove | null> {
  const row = await maybeOne(db, MOVE, `${MOVES} WHERE stock_move.id = $1`, [id]);
  return row && moved(row);
}

const NOTHING: { readonly batchId: string | null } = { batchId: null };
export async function insertStock(db: Connection, item: StockItem, at: string, { batchId } = NOTHING): Promise<boolean> {
  const { id, foodId, name, kind, place, gotOn, useBy, note } = item;
  const rows = await db.query(
    `INSERT INTO stock (id, food_id, name, kind, place, got_on, use_by, note, batch_id, written_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) ON CONFLICT (id) DO NOTHING RETURNING id`,
    [id, foodId, name, kind, place, gotOn, useBy, note, batchId, at],
  );
  return rows.length > 0;
}
/** Writes what is said of it over the revision that was read; the new one, null where it is another by now, or gone. */
export async function updateStock(db: Connection, item: StockItem, revision: number, at: string): Promise<number | null> {
  const { id, foodId, name, kind, place, gotOn, useBy, note } = item;
  const row = await maybeOne(
    db,
    { revision: number },
    `UPDATE stock SET food_id = $3, name = $4, kind = $5, place = $6, got_on = $7, use_by = $8, note = $9, written_at = $10, revision = revision + 1
     WHERE id = $1 AND revision = $2 RETURNING revision`,
    [id, revision, foodId, name, kind, place, gotOn, useBy, note, at],
  );
  return row?.revision ?? null;
}
export async function deleteStock(db: Connection, id: string): Promise<void> {
  await db.query("DELETE FROM stock WHERE id = $1", [id]);
}

/** Adds a move once; sent again it is there already. */
export async function insertMove(db: Connection, { id, item, grams, why, at }: StockMove, { batchId } = NOTHING): Promise<void> {
  await db.query("INSERT INTO stock_move (id, stock_id, grams, why, batch_id, at) VALUES ($1, $2, $3, $4, $5, $6) ON CONFLICT (id) DO NOTHING", [
    id,
    item,
    grams,
    why,
    batchId,
    at,
  ]);
}
export async function deleteMove(db: Connection, id: string): Promise<void> {
  await db.query("DELETE FROM stock_move WHERE id = $1", [id]);
}
/** Puts back what a batch took. */
export async function deleteMovesOfBatch(db: Connection, batchId: string): Promise<void> {
  await db.query("DELETE FROM stock_move WHERE batch_id = $1 AND why = 'cooked'", [batchId]);
}
/** Takes out what was left over from a batch, but for what still is. */
export async function deleteStockOfBatch(db: Connection, batchId: string, spared: readonly string[]): Promise<void> {
  await db.query("DELETE FROM stock WHERE batch_id = $1 AND id NOT IN (SELECT jsonb_array_elements_text($2::jsonb))", [batchId, JSON.stringify(spared)]);
}
