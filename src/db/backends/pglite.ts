import { existsSync, mkdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { DatabaseError, type Connection, type Database, type Parameter, type Row } from "../database";

/** What went wrong, without the statement and its values: they are somebody's recipes, and errors end in a log. */
const plain = (error: unknown): Error => {
  const code = error instanceof Error && "code" in error ? String(error.code) : "";
  return new DatabaseError(code, error instanceof Error ? error.message : String(error));
};

const face = (of: { query: PGlite["query"] }): Connection => ({
  query: async (sql: string, parameters: readonly Parameter[] = []) => {
    try {
      return (await of.query<Row>(sql, [...parameters])).rows;
    } catch (error) {
      throw plain(error);
    }
  },
});

/** A new, empty database, which PGlite takes some seconds to make: packed by the build, and unpacked wherever one is begun. */
function emptyDatabase(): { readonly loadDataDir?: Blob } {
  const packed = join(process.cwd(), ".build", "empty-database.tar.gz");
  return existsSync(packed) ? { loadDataDir: new Blob([readFileSync(packed)], { type: "application/x-gzip" }) } : {};
}

/** PGlite in a folder, or in memory where that is null. By itself it never reaches the disk's platter; see durable.ts. */
export async function openPglite(path: string | null): Promise<Database> {
  if (path !== null) mkdirSync(path, { recursive: true, mode: 0o700 });
  const begun = path !== null && existsSync(join(path, "PG_VERSION"));
  const pg = await PGlite.create({ ...(begun ? {} : emptyDatabase()), ...(path === null ? {} : { dataDir: path, relaxedDurability: false }) });
  return {
    ...face(pg),
    transaction: (work) => pg.transaction((inner) => work(face({ query: inner.query.bind(inner) as PGlite["query"] }))),
    close: () => pg.close(),
  };
}
