import type { Connection } from "./database";
import { json, many, maybeOne, number, text } from "./rows";

/** Lists that are edited together, and the table of each; whatever stands before another may be pointed to by it. */
export const COLLECTIONS = {
  eaters: { eaters: "eater" },
  pantry: { foods: "own_food", weighings: "weighing", prices: "price", pressings: "pressing", names: "food_name" },
  "house-rules": { own: "own_rule", answers: "rule_answer" },
} as const;
export type CollectionName = keyof typeof COLLECTIONS;

/** One thing in a list, by a key that nothing else in the list has. */
export interface CollectionRow {
  readonly id: string;
  readonly document: unknown;
}
export type CollectionLists = Readonly<Record<string, readonly CollectionRow[]>>;

export interface StoredCollection {
  /** By the names of its lists, each in its order. */
  readonly lists: CollectionLists;
  /** 0 where it was never saved. */
  readonly revision: number;
}

const TABLES_OF_LISTS = Object.entries(COLLECTIONS).flatMap(([name, lists]) => Object.entries(lists).map(([list, table]) => ({ name, list, table })));
const ALL_ROWS = TABLES_OF_LISTS.map(({ name, list, table }) => `SELECT '${name}' AS name, '${list}' AS list, place, id, document FROM ${table}`).join(
  " UNION ALL ",
);

/** All collections, each list in its order. */
export async function readCollections(db: Connection): Promise<ReadonlyMap<CollectionName, StoredCollection>> {
  // The counts first: rows that are newer than their count are asked about, older ones would be overwritten.
  const revisions = await many(db, { name: text, revision: number }, "SELECT name, revision FROM collection");
  const rows = await many(db, { name: text, list: text, id: text, document: json }, `${ALL_ROWS} ORDER BY place, id`);
  return new Map(
    (Object.keys(COLLECTIONS) as CollectionName[]).map((name) => {
      const mine = rows.filter((row) => row.name === name);
      const lists = Object.keys(COLLECTIONS[name]).map(
        (list) => [list, mine.filter((row) => row.list === list).map(({ id, document }) => ({ id, document }))] as const,
      );
      return [name, { lists: Object.fromEntries(lists), revision: revisions.find((each) => each.name === name)?.revision ?? 0 }] as const;
    }),
  );
}

/**
 * Saves the lists of a collection over the revision that they were read at, within a transaction; null where another save
 * came between, and nothing is written. Rows that are as they were keep who wrote them; `person` wrote the others. What is
 * not among them is taken out, but for the rows that are `spared`.
 */
export async function writeCollection(
  connection: Connection,
  name: CollectionName,
  lists: CollectionLists,
  revision: number,
  at: string,
  { person = null, spared = [] }: { readonly person?: string | null; readonly spared?: readonly string[] } = {},
): Promise<number | null> {
  const saved = await maybeOne(
    connection,
    { revision: number },
    `INSERT INTO collection (name, revision) VALUES ($1, 1)
     ON CONFLICT (name) DO UPDATE SET revision = collection.revision + 1 WHERE collection.revision = $2::int
     RETURNING revision`,
    [name, revision],
  );
  if (!saved) return null;
  for (const [list, table] of Object.entries(COLLECTIONS[name])) {
    const rows = JSON.stringify((lists[list] ?? []).map(({ id, document }, place) => ({ id, place, document })));
    await connection.query(
      `DELETE FROM ${table} WHERE id NOT IN (SELECT each->>'id' FROM jsonb_array_elements($1::jsonb) AS each UNION SELECT jsonb_array_elements_text($2::jsonb))`,
      [rows, JSON.stringify(spared)],
    );
    await connection.query(
      `INSERT INTO ${table} AS kept (id, place, document, written_at, person_id)
       SELECT id, place, document, $2::timestamptz, $3 FROM jsonb_to_recordset($1::jsonb) AS sent (id text, place integer, document jsonb)
       ON CONFLICT (id) DO UPDATE SET place = excluded.place, document = excluded.document,
         written_at = CASE WHEN kept.document = excluded.document THEN kept.written_at ELSE excluded.written_at END,
         person_id = CASE WHEN kept.document = excluded.document THEN kept.person_id ELSE excluded.person_id END
       WHERE kept.document <> excluded.document OR kept.place <> excluded.place`,
      [rows, at, person],
    );
  }
  return saved.revision;
}
