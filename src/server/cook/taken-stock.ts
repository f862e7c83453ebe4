import { sessionOf } from "../../core/cook";
import { NOTHING_LEFT } from "../../core/stock";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { stockGround, takenBy } from "./batch-stock";
import { getBatch } from "./batches";

/** What a batch took off the stock, g, and what of it was not there. */
export interface BatchStock {
  readonly taken: readonly { readonly name: string; readonly grams: number }[];
  readonly missing: readonly { readonly name: string; readonly grams: number }[];
}
export async function stockOfBatch(id: string): Promise<BatchStock> {
  const [{ batch, events }, moves] = await Promise.all([getBatch(id), getDatabase().then((database) => db.movesOfBatch(database, id))]);
  const ground = await stockGround(batch);
  const session = sessionOf(
    batch.plan,
    events.map(({ event }) => event),
  );
  const takenOf = (food: string) => moves.reduce((sum, move) => sum - (move.foodId === food ? move.grams : 0), 0);
  return {
    taken: moves.map(({ name, grams }) => ({ name, grams: -grams })),
    missing: takenBy(session, ground).flatMap(({ food, name, grams }) => {
      const left = grams - takenOf(food);
      return left >= NOTHING_LEFT ? [{ name, grams: left }] : [];
    }),
  };
}
