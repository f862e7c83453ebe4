import { cache } from "react";
import type { ValidateFunction } from "ajv";
import { keyed, type RowKeys } from "../../core/merge";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { log } from "../http/log";
import { Refusal } from "../http/problems";
import { saveRevised, type Revised } from "../http/revised";

/** All that the household lists: read once for a page, anew for every other request. */
const storedCollections = cache(async () => db.readCollections(await getDatabase()));

/** A collection as it is saved; what is stored of it and does not fit its schema is left out, and said in the log. */
export async function getCollection<Document extends object>(name: db.CollectionName, validate: ValidateFunction, empty: Document): Promise<Revised<Document>> {
  const { lists, revision } = (await storedCollections()).get(name) ?? { lists: {}, revision: 0 };
  const document = { ...empty, ...lists } as Document;
  if (validate(document)) return { document, revision };
  log.warn({ collection: name, errors: validate.errors?.slice(0, 3) }, "what is stored does not fit its schema");
  const fits = (list: string, row: unknown) => validate({ ...empty, [list]: [row] });
  const kept = Object.fromEntries(Object.entries(lists).map(([list, rows]) => [list, rows.filter((row) => fits(list, row))]));
  return { document: { ...empty, ...kept }, revision };
}

/** Saves a collection row by row over the revision that was read; 422 where two things in a list have one key. */
export async function saveCollection<Document extends object>(
  name: db.CollectionName,
  what: string,
  keys: RowKeys,
  sent: Revised<Document>,
  current: () => Promise<Revised<Document>>,
): Promise<number> {
  const lists = keyed(keys, sent.document);
  for (const [list, rows] of Object.entries(lists)) {
    const place = rows.findIndex(({ id }, i) => rows.findIndex((other) => other.id === id) < i);
    if (place >= 0)
      throw new Refusal(422, `This ${what} holds one thing twice: “${rows[place]?.id ?? ""}”.`, [
        { pointer: `/document/${list}/${place}`, detail: "Another in the list is known by the same." },
      ]);
  }
  const database = await getDatabase();
  const at = new Date().toISOString();
  return saveRevised(sent, what, ({ revision }) => database.transaction((inside) => db.writeCollection(inside, name, lists, revision, at)), current);
}
