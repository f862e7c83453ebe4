import * as db from "../../db";
import { getDatabase } from "./database";
import { Refusal } from "../http/problems";

const WORDS: Readonly<Record<db.DeletableTable, string>> = { recipe: "recipe", version: "version", batch: "batch" };

/** Deletes a recipe, version or batch; it can be put back until it is forgotten. */
export async function remove(kind: db.DeletableTable, id: string): Promise<void> {
  if (!(await db.markDeleted(await getDatabase(), kind, id, new Date().toISOString())))
    throw new Refusal(404, `There is no such ${WORDS[kind]}. It may have been deleted already.`);
}

export async function restore(kind: db.DeletableTable, id: string): Promise<void> {
  if (!(await db.putBack(await getDatabase(), kind, id))) throw new Refusal(404, `There is no such ${WORDS[kind]} to put back.`);
}

export const deletedItems = async (): Promise<readonly db.DeletedItem[]> => db.listDeleted(await getDatabase());
