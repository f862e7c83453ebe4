import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import type { Database } from "./database";
import { many, number } from "./rows";

const FOLDER = join(process.cwd(), "src", "db", "migrations");

const files = (): readonly { readonly number: number; readonly name: string }[] =>
  readdirSync(FOLDER)
    .filter((name) => /^\d{4}_.*\.sql$/.test(name))
    .sort()
    .map((name) => ({ number: Number(name.slice(0, 4)), name }));

/** The schema that this code writes. */
export const latestSchema = (): number => Math.max(...files().map(({ number }) => number));

/**
 * Brings the schema up to `upTo` (else to the latest): each numbered file once, in order, all or nothing. Returns how many
 * were applied. Refuses a schema newer than the files.
 */
export async function migrate(database: Omit<Database, "close">, upTo = latestSchema()): Promise<number> {
  await database.query("CREATE TABLE IF NOT EXISTS migration (number integer PRIMARY KEY, name text NOT NULL, applied_at timestamptz NOT NULL DEFAULT now())");
  const applied = new Set((await many(database, { number }, "SELECT number FROM migration")).map((row) => row.number));
  const newer = [...applied].filter((number) => number > latestSchema());
  if (newer.length > 0)
    throw new Error(`The data were written by a newer version (schema ${Math.max(...newer)}). Update Threpsis, or use another data folder.`);
  const due = files().filter(({ number }) => number <= upTo && !applied.has(number));
  for (const { number, name } of due)
    await database.transaction(async (connection) => {
      for (const statement of statements(readFileSync(join(FOLDER, name), "utf8"))) await connection.query(statement);
      await connection.query("INSERT INTO migration (number, name) VALUES ($1, $2)", [number, name]);
    });
  return due.length;
}

/** Splits a migration at semicolons that end a line; migrations hold no functions. */
const statements = (sql: string): string[] =>
  sql
    .replace(/^--.*$/gm, "")
    .split(/;\s*$/m)
    .map((statement) => statement.trim())
    .filter(Boolean);
