import { SERVING_TEMPERATURES, type ServingTemperature } from "../core/food";
import type { TastingAnswer } from "../core/sensory";
import type { Connection } from "./database";
import { documentOf, many, maybe, maybeOne, text, time, truth, word } from "./rows";

/** What somebody said of a batch, how it was served to them, and when. */
export interface StoredTasting {
  readonly id: string;
  readonly batchId: string;
  /** Null of a guest. */
  readonly eaterId: string | null;
  readonly name: string;
  readonly isGuest: boolean;
  readonly served: ServingTemperature;
  readonly answer: TastingAnswer;
  readonly tastedAt: string;
}

const TASTING = {
  id: text,
  batch_id: text,
  eater_id: maybe(text),
  name: text,
  is_guest: truth,
  served: word(SERVING_TEMPERATURES),
  answer: documentOf<TastingAnswer>(),
  tasted_at: time,
};
const COLUMNS = "id, batch_id, eater_id, name, is_guest, served, answer, tasted_at";
type Columns<C extends Record<string, (value: unknown) => unknown>> = { readonly [Name in keyof C]: ReturnType<C[Name]> };
const read = ({ batch_id, eater_id, is_guest, tasted_at, ...row }: Columns<typeof TASTING>): StoredTasting => ({
  ...row,
  batchId: batch_id,
  eaterId: eater_id,
  isGuest: is_guest,
  tastedAt: tasted_at,
});

/** What was said of a batch, in the order in which it was. */
export async function tastingsOf(db: Connection, batchId: string): Promise<readonly StoredTasting[]> {
  return (await many(db, TASTING, `SELECT ${COLUMNS} FROM tasting WHERE batch_id = $1 ORDER BY tasted_at, id`, [batchId])).map(read);
}

/** What was said of all batches of a recipe, in the order in which it was. */
export async function tastingsOfRecipe(db: Connection, recipeId: string): Promise<readonly StoredTasting[]> {
  return (
    await many(
      db,
      TASTING,
      `SELECT ${COLUMNS} FROM tasting WHERE batch_id IN (SELECT batch.id FROM batch WHERE recipe_id = $1 AND deleted_at IS NULL) ORDER BY tasted_at, id`,
      [recipeId],
    )
  ).map(read);
}

/** Keeps what somebody said, once however often it is sent; false where it is there already. */
export async function insertTasting(db: Connection, { id, batchId, eaterId, name, isGuest, served, answer, tastedAt }: StoredTasting): Promise<boolean> {
  const rows = await db.query(
    `INSERT INTO tasting (id, batch_id, eater_id, name, is_guest, served, answer, tasted_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7::jsonb, $8) ON CONFLICT (id) DO NOTHING RETURNING id`,
    [id, batchId, eaterId, name, isGuest, served, JSON.stringify(answer), tastedAt],
  );
  return rows.length > 0;
}

/** Takes back what somebody said; false where it is not there. */
export async function deleteTasting(db: Connection, batchId: string, id: string): Promise<boolean> {
  return (await maybeOne(db, { id: text }, "DELETE FROM tasting WHERE batch_id = $1 AND id = $2 RETURNING id", [batchId, id])) !== null;
}
