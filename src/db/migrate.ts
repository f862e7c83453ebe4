import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import type { Database } from "./database";

const FOLDER = join(process.cwd(), "src", "db", "migrations");

/** Brings the schema up to date: each numbered file once, in order, all or nothing. Refuses a schema newer than the files. */
export async function migrate(database: Database): Promise<void> {
  await database.query("CREATE TABLE IF NOT EXISTS migration (number integer PRIMARY KEY, name text NOT NULL, applied_at timestamptz NOT NULL DEFAULT now())");
  const applied = new Set((await database.query<{ number: number }>("SELECT number FROM migration")).map((row) => row.number));
  const files = readdirSync(FOLDER)
    .filter((name) => /^\d{4}_.*\.sql$/.test(name))
    .sort();
  const known = new Set(files.map((name) => Number(name.slice(0, 4))));
  const newer = [...applied].filter((number) => !known.has(number));
  if (newer.length > 0)
    throw new Error(`The data were written by a newer version (schema ${Math.max(...newer)}). Update Threpsis, or use another data folder.`);
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    if (applied.has(number)) continue;
    await database.transaction(async (connection) => {
      for (const statement of statements(readFileSync(join(FOLDER, name), "utf8"))) await connection.query(statement);
      await connection.query("INSERT INTO migration (number, name) VALUES ($1, $2)", [number, name]);
    });
  }
}

/** Splits a migration at semicolons that end a line; migrations hold no functions. */
const statements = (sql: string): string[] =>
  sql
    .replace(/^--.*$/gm, "")
    .split(/;\s*$/m)
    .map((statement) => statement.trim())
    .filter(Boolean);
