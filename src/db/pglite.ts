import { mkdirSync } from "node:fs";
import { PGlite } from "@electric-sql/pglite";
import type { Connection, Database, Parameter } from "./database";

const face = (of: { query: PGlite["query"] }): Connection => ({
  query: async <Row>(sql: string, parameters: readonly Parameter[] = []) => (await of.query<Row>(sql, [...parameters])).rows,
});

/** PGlite in a folder, or in memory where that is null. By itself it never reaches the disk's platter; see durable.ts. */
export async function openPglite(path: string | null): Promise<Database> {
  if (path !== null) mkdirSync(path, { recursive: true });
  const pg = await PGlite.create(path === null ? {} : { dataDir: path, relaxedDurability: false });
  return {
    ...face(pg),
    transaction: (work) => pg.transaction((inner) => work(face({ query: inner.query.bind(inner) as PGlite["query"] }))),
    close: () => pg.close(),
  };
}
