import { cache } from "react";
import type { ValidateFunction } from "ajv";
import { keyed, type RowKeys } from "../../core/merge";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { log } from "../http/log";
import { Refusal } from "../http/problems";
import { saveRevised, type Revised } from "../http/revised";

/** Lists that are edited together: how they are called, what each thing in them is known by, and their schema. */
export interface Collection<Document extends object> {
  readonly name: db.CollectionName;
  /** "list of eaters", in a refusal. */
  readonly what: string;
  readonly keys: RowKeys;
  readonly validate: ValidateFunction;
  readonly empty: Document;
}

/** All that the household lists: read once for a page, anew for every other request. */
const storedCollections = cache(async () => db.readCollections(await getDatabase()));

/** A collection as it is saved. What is stored of it and does not fit its schema is left out, said in the log, and stays where it is. */
export async function getCollection<Document extends object>({ name, validate, empty }: Collection<Document>): Promise<Revised<Document>> {
  const { fitting, unfit, revision } = await readCollection({ name, validate, empty });
  if (unfit.length > 0) log.warn({ collection: name, rows: unfit.length }, "what is stored does not fit its schema");
  return { document: { ...empty, ...fitting }, revision };
}

/** What is stored of a collection: the rows that fit its schema, and the ids of those that do not. */
async function readCollection({ name, validate, empty }: Pick<Collection<object>, "name" | "validate" | "empty">) {
  const { lists, revision } = (await storedCollections()).get(name) ?? { lists: {}, revision: 0 };
  const documents = (rows: db.CollectionLists[string]) => rows.map(({ document }) => document);
  const all = Object.fromEntries(Object.entries(lists).map(([list, rows]) => [list, documents(rows)]));
  if (validate({ ...empty, ...all })) return { fitting: all, unfit: [], revision };
  const fits = (list: string, row: unknown) => validate({ ...empty, [list]: [row] });
  return {
    fitting: Object.fromEntries(Object.entries(all).map(([list, rows]) => [list, rows.filter((row) => fits(list, row))])),
    unfit: Object.entries(lists).flatMap(([list, rows]) => rows.filter(({ document }) => !fits(list, document)).map(({ id }) => id)),
    revision,
  };
}

/** Saves a collection row by row over the revision that was read; 422 where two things in a list have one key. */
export async function saveCollection<Document extends object>(
  { name, what, keys, validate, empty }: Collection<Document>,
  sent: Revised<Document>,
  current: () => Promise<Revised<Document>>,
): Promise<number> {
  const lists = keyed(keys, sent.document);
  for (const [list, rows] of Object.entries(lists)) {
    const seen = new Set<string>();
    const place = rows.findIndex(({ id }) => seen.size === seen.add(id).size);
    if (place >= 0)
      throw new Refusal(422, `This ${what} holds one thing twice: “${rows[place]?.id ?? ""}”.`, [
        { pointer: `/document/${list}/${place}`, detail: "Another in the list is known by the same." },
      ]);
  }
  const [database, { unfit }] = await Promise.all([getDatabase(), readCollection({ name, validate, empty })]);
  const at = new Date().toISOString();
  // What could not be shown was not left out by whoever sent this.
  const write = ({ revision }: Revised<Document>) => database.transaction((inside) => db.writeCollection(inside, name, lists, revision, at, { spared: unfit }));
  return saveRevised(sent, what, write, current);
}
