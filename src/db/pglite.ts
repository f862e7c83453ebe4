import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import type { Connection, Database } from "./database";
import { takeFolder } from "./lock";
import { migrate } from "./migrate";

/**
 * Opens the database of a data folder: takes the folder, starts PGlite in it, brings the schema up to date. An
 * acknowledged write has reached the operating system's files, so it survives the process being killed.
 */
export async function openPglite(folder: string): Promise<Database> {
  const release = takeFolder(folder);
  try {
    const path = join(folder, "postgres");
    mkdirSync(path, { recursive: true });
    const pg = await PGlite.create({ dataDir: path, relaxedDurability: false });
    const run = (of: { query: PGlite["query"] }): Connection => ({
      query: async <Row>(sql: string, parameters: readonly unknown[] = []) => (await of.query<Row>(sql, [...parameters])).rows,
    });
    const database: Database = {
      ...run(pg),
      transaction: (work) => pg.transaction((inner) => work(run({ query: inner.query.bind(inner) as PGlite["query"] }))),
      close: async () => {
        await pg.close();
        release();
      },
    };
    await migrate(database);
    return database;
  } catch (error) {
    release();
    throw error;
  }
}
