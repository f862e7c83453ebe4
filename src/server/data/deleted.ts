import * as db from "../../db";
import { getDatabase } from "./database";
import { Refusal } from "../http/problems";

const WORDS: Readonly<Record<db.DeletableTable, string>> = { recipe: "recipe", version: "version", batch: "batch", gathering: "gathering" };

/** Deletes a recipe, version, batch or gathering; it can be put back until it is forgotten. */
export async function remove(kind: db.DeletableTable, id: string): Promise<void> {
  const database = await getDatabase();
  if (!(await database.transaction((inside) => marked(inside, kind, db.markDeleted(inside, kind, id, new Date().toISOString())))))
    throw new Refusal(404, `There is no such ${WORDS[kind]}. It may have been deleted already.`);
}

export async function restore(kind: db.DeletableTable, id: string): Promise<void> {
  const database = await getDatabase();
  if (!(await database.transaction((inside) => marked(inside, kind, db.putBack(inside, kind, id)))))
    throw new Refusal(404, `There is no such ${WORDS[kind]} to put back.`);
}

/** A batch that is gone, or there again, teaches otherwise. */
async function marked(inside: Parameters<typeof db.noteTaught>[0], kind: db.DeletableTable, done: Promise<boolean>): Promise<boolean> {
  const isDone = await done;
  if (isDone && kind === "batch") await db.noteTaught(inside);
  return isDone;
}

export const deletedItems = async (): Promise<readonly db.DeletedItem[]> => db.listDeleted(await getDatabase());
