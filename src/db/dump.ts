import { createHash } from "node:crypto";
import { fail, succeed, type Result } from "../core/numeric";
import type { Connection } from "./database";
import { TABLES, type Dump, type DumpedRow, type TableName } from "./tables";
import { many, maybe, number, one, text } from "./rows";

export async function dumpRows(connection: Connection, made: string): Promise<Dump> {
  const rows: DumpedRow[] = [];
  for (const [table, key] of TABLES)
    for (const { row } of await many(connection, { row: text }, `SELECT to_jsonb(t)::text AS row FROM ${table} t ORDER BY ${key}`)) rows.push({ table, row });
  const schema = await one(connection, { number: maybe(number) }, "SELECT max(number) AS number FROM migration");
  return { schema: schema.number ?? 0, made, rows };
}

/** Rows that go in with one statement. */
const AT_ONCE = 100;

/** Puts the rows of a dump in the place of all that is there. The dump must be of the connection's own schema. */
export async function loadRows(connection: Connection, dump: Dump): Promise<void> {
  await deleteAll(connection);
  for (const [table] of TABLES)
    for (const rows of batches(inOrder(table, dump)))
      await connection.query(`INSERT INTO ${table} SELECT * FROM jsonb_populate_recordset(NULL::${table}, $1::jsonb)`, [`[${rows.join(",")}]`]);
}

async function deleteAll(connection: Connection): Promise<void> {
  // A dump of an earlier schema lacks tables that came later.
  const there = new Set(
    (await many(connection, { name: text }, "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public'")).map(({ name }) => name),
  );
  for (const [table] of [...TABLES].reverse()) if (there.has(table)) await connection.query(`DELETE FROM ${table}`);
}

function* batches<T>(items: readonly T[]): Generator<readonly T[]> {
  for (let from = 0; from < items.length; from += AT_ONCE) yield items.slice(from, from + AT_ONCE);
}

/** The rows of a table, each after the one that it points to: clocks may have been set back between the two. */
function inOrder(table: TableName, dump: Dump): readonly string[] {
  const rows = dump.rows.filter((row) => row.table === table).map(({ row }) => row);
  if (table !== "version") return rows;
  const read = rows.map((row) => ({ row, ...(JSON.parse(row) as { readonly id: string; readonly parent_id?: string | null }) }));
  const byId = new Map(read.map((each) => [each.id, each] as const));
  const placed = new Set<string>();
  const ordered: string[] = [];
  for (const each of read) {
    const line: (typeof read)[number][] = [];
    const seen = new Set<string>();
    for (let at: (typeof read)[number] | undefined = each; at && !placed.has(at.id) && !seen.has(at.id); at = byId.get(at.parent_id ?? "")) {
      seen.add(at.id);
      line.push(at);
    }
    for (const { id, row } of line.reverse()) {
      placed.add(id);
      ordered.push(row);
    }
  }
  // A double id is left for the database to refuse.
  return ordered.length === rows.length ? ordered : rows;
}

/** Lays the rows of a dump beside all that is there, a few at a time, so that others read in between. */
export async function stageRows(database: Connection, dump: Dump, onRows: (done: number) => void): Promise<void> {
  await database.query("DROP TABLE IF EXISTS pg_temp.staged");
  await database.query("CREATE TEMPORARY TABLE staged (number serial PRIMARY KEY, table_name text NOT NULL, row jsonb NOT NULL)");
  let done = 0;
  for (const [table] of TABLES)
    for (const rows of batches(inOrder(table, dump))) {
      await database.query("INSERT INTO staged (table_name, row) SELECT $1, value FROM jsonb_array_elements($2::jsonb)", [table, `[${rows.join(",")}]`]);
      onRows((done += rows.length));
      await new Promise((resolve) => setImmediate(resolve));
    }
}

/** Puts the staged rows in the place of all that is there, each under a revision that no open window may take for its own. */
export async function loadStaged(connection: Connection): Promise<void> {
  const before = await highestRevision(connection);
  await deleteAll(connection);
  for (const [table] of TABLES)
    await connection.query(
      `INSERT INTO ${table} SELECT filled.* FROM staged CROSS JOIN LATERAL jsonb_populate_record(NULL::${table}, staged.row) AS filled
       WHERE table_name = $1 ORDER BY number`,
      [table],
    );
  await connection.query("DROP TABLE pg_temp.staged");
  // Where nothing was, no window holds anything.
  if (before === 0) return;
  const next = Math.max(before, await highestRevision(connection)) + 1;
  for (const [table, column] of REVISION_COLUMNS) await connection.query(`UPDATE ${table} SET ${column} = $1 WHERE ${column} > 0`, [next]);
}

/** The counters that windows hold a thing by; 0 is what was never saved. The past (recipe_revision, bench_state) keeps its own. */
const REVISION_COLUMNS = [
  ["recipe", "revision"],
  ["adaptation", "table_revision"],
  ["adaptation", "bench_revision"],
  ["setting", "revision"],
  ["collection", "revision"],
  ["stock", "revision"],
] as const;

/** The highest revision of anything that is there; 0 where there is nothing. */
async function highestRevision(connection: Connection): Promise<number> {
  const all = [...REVISION_COLUMNS, ["recipe_revision", "revision"] as const, ["bench_state", "revision"] as const]
    .map(([table, column]) => `SELECT max(${column}) AS revision FROM ${table}`)
    .join(" UNION ALL ");
  const row = await one(connection, { highest: maybe(number) }, `SELECT max(revision) AS highest FROM (${all}) AS revisions`);
  return row.highest ?? 0;
}

const FORMAT = "threpsis-backup";
const VERSION = 1;
const prefixOf = (table: string) => `{"table":"${table}","row":`;
const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");

/** A dump as one text: a line of JSON about it, with the checksum of what follows, then a line of JSON for each row. */
export function encodeDump(dump: Dump): string {
  const body = dump.rows.map(({ table, row }) => `${prefixOf(table)}${row}}\n`).join("");
  const rows = Object.fromEntries(TABLES.map(([table]) => [table, dump.rows.filter((each) => each.table === table).length]));
  return `${JSON.stringify({ format: FORMAT, version: VERSION, schema: dump.schema, made: dump.made, rows, sha256: sha256(body) })}\n${body}`;
}

export interface DumpProblem {
  /** Line of the file, from 1. */
  readonly line: number;
  readonly why: string;
}

/** Reads a dump; refused, with the line and the reason, where it is another file, cut off, changed, or of a later make. */
export function decodeDump(text: string): Result<Dump, DumpProblem> {
  const end = text.indexOf("\n");
  const about = parsed(end < 0 ? text : text.slice(0, end));
  if (about?.format !== FORMAT) return fail({ line: 1, why: "This is not a Threpsis backup: its first line does not say so." });
  if (about.version !== VERSION) return fail({ line: 1, why: `The backup is of format ${String(about.version)}; this Threpsis reads format ${VERSION}.` });
  const { schema, made, sha256: sum } = about;
  if (typeof schema !== "number" || !Number.isInteger(schema) || schema < 1 || typeof made !== "string" || typeof sum !== "string")
    return fail({ line: 1, why: "The backup's first line lacks its schema, time or checksum." });
  const body = end < 0 ? "" : text.slice(end + 1);
  if (sha256(body) !== sum)
    return fail({
      line: 1,
      why: "The checksum does not fit: the file was cut off or changed after it was made. Take another copy of it, or an earlier backup.",
    });
  const rows: DumpedRow[] = [];
  for (const [i, line] of body.split("\n").entries()) {
    if (line === "") continue;
    const table = TABLES.map(([name]) => name).find((name) => line.startsWith(prefixOf(name)));
    if (!table || !parsed(line)) return fail({ line: i + 2, why: "This line is not a row of a table that Threpsis knows." });
    rows.push({ table, row: line.slice(prefixOf(table).length, -1) });
  }
  return succeed({ schema, made, rows });
}

function parsed(line: string): Record<string, unknown> | null {
  try {
    const read: unknown = JSON.parse(line);
    return typeof read === "object" && read !== null ? (read as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}
