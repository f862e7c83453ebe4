import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { AboutPeople } from "../../core/household";
import * as db from "../../db";
import { dataFolder, getDatabase } from "./database";
import { schemaErrors } from "../http/ajv";
import { parseJson } from "../http/body";
import { checked } from "../http/checked";
import { validateOpening, validateSealing } from "../http/schemas/backup";
import { ROWS } from "./backup-rows";
import { isSealed, seal, unseal } from "./sealed";
import { Refusal } from "../http/problems";

/** The largest backup that is taken in by a browser, bytes; `npm run restore` takes any. */
export const MOST_BACKUP_BYTES = 64 * 1024 * 1024;

/** Everything as one file, and the name to save it under. */
export async function makeBackup(): Promise<{ readonly name: string; readonly text: string }> {
  const database = await getDatabase();
  const made = new Date().toISOString();
  // In a transaction, so that all rows are of one moment.
  const dump = await database.transaction((connection) => db.dumpRows(connection, made));
  return { name: backupName(made), text: db.encodeDump(dump) };
}

export const backupName = (made: string): string => `threpsis-${made.slice(0, 10)}.jsonl`;

/** How much of what a backup holds is about people. */
export const aboutPeople = async (): Promise<AboutPeople> => db.countAboutPeople(await getDatabase());

/** The same sealed with a passphrase: without it nobody opens it, who keeps the file neither. */
export async function makeSealedBackup(body: unknown): Promise<{ readonly name: string; readonly text: string }> {
  const { passphrase } = checked(validateSealing, body);
  const { name, text } = await makeBackup();
  return { name: name.replace(/\.jsonl$/, ".sealed"), text: await seal(text, passphrase, new Date().toISOString()) };
}

/** Bytes of a sealed backup that is taken in by a browser: a third more than what is in it. */
export const MOST_SEALED_BYTES = 1.4 * MOST_BACKUP_BYTES;

/** Puts a sealed backup in place; `sent` is the passphrase as a line of JSON, then the file. */
export async function restoreSealed(sent: string): Promise<Restored> {
  const end = sent.indexOf("\n");
  const { passphrase } = checked(validateOpening, parseJson(end < 0 ? sent : sent.slice(0, end)));
  return restoreBackup(await unseal(end < 0 ? "" : sent.slice(end + 1), passphrase));
}

export interface Restored {
  readonly recipes: number;
  readonly versions: number;
  /** When the backup was made, ISO. */
  readonly made: string;
}

/** How far a restore is, for whoever waits for it. */
export interface RestoreProgress {
  readonly stage: "reading" | "checking" | "laying beside" | "none";
  /** Rows, of so many. */
  readonly done: number;
  readonly of: number;
}
const NO_RESTORE: RestoreProgress = { stage: "none", done: 0, of: 0 };
const shared = globalThis as { threpsisRestore?: RestoreProgress };
export const restoreProgress = (): RestoreProgress => shared.threpsisRestore ?? NO_RESTORE;

/** Puts a backup in the place of all that is there; refused whole where it does not fit. What was there is kept beside, to go back to. One at a time. */
export async function restoreBackup(text: string): Promise<Restored> {
  if (shared.threpsisRestore) throw new Refusal(409, "A copy is being put in place already. Wait until it is.");
  const told = (progress: RestoreProgress) => (shared.threpsisRestore = progress);
  told({ stage: "reading", done: 0, of: 0 });
  try {
    return await putInPlace(await getDatabase(), await readBackup(text, told), dataFolder(), told);
  } finally {
    delete shared.threpsisRestore;
  }
}

/** How many states from before a restore are kept. */
const MOST_KEPT = 5;
const keptFolder = (folder: string): string => join(folder, "before-restore");
const numberOf = (name: string): number => Number(/^before-(\d{1,9})-/.exec(name)?.[1] ?? 0);
/** The states from before a restore, by their number; those of earlier versions, by time, before them. */
const keptIn = (folder: string): string[] =>
  (existsSync(keptFolder(folder)) ? readdirSync(keptFolder(folder)).filter((name) => name.endsWith(".jsonl")) : []).sort(
    (a, b) => numberOf(a) - numberOf(b) || (a < b ? -1 : 1),
  );
const lastKept = (): string | undefined => keptIn(dataFolder()).at(-1);

/** Whether there is something from before a restore to go back to. */
export const canUndoRestore = (): boolean => lastKept() !== undefined;

/** Goes back to what was there before the last restore. */
export async function undoRestore(): Promise<Restored> {
  const last = lastKept();
  if (!last) throw new Refusal(404, "There is nothing from before a restore to go back to.");
  return restoreBackup(readFileSync(join(keptFolder(dataFolder()), last), "utf8"));
}

/** Between so many rows others come in. */
const CHECKED_AT_ONCE = 50;

/** Reads a backup, brings it up to this schema, and checks every row. Throws a Refusal that says where it does not fit. */
export async function readBackup(text: string, told: (progress: RestoreProgress) => unknown = () => undefined): Promise<db.Dump> {
  if (isSealed(text))
    throw new Refusal(422, "This copy is sealed: it is opened with its passphrase.", [
      { pointer: "/passphrase", detail: "Give the passphrase that it was sealed with." },
    ]);
  const read = db.decodeDump(text);
  if (!read.ok)
    throw new Refusal(422, `This file cannot be put in place. Line ${read.error.line}: ${read.error.why}`, [
      { pointer: `line ${read.error.line}`, detail: read.error.why },
    ]);
  const dump = read.value;
  if (dump.schema > db.latestSchema())
    throw new Refusal(422, `The backup is of a newer Threpsis (schema ${dump.schema}, this one has ${db.latestSchema()}). Update Threpsis first.`);
  const current = dump.schema === db.latestSchema() ? dump : await db.upgradeDump(dump, dump.made).catch(refuseRows);
  const refuse = (i: number, table: string, pointer: string, detail: string): never => {
    throw new Refusal(422, `A ${table} of the backup does not fit. Nothing was changed.`, [{ pointer: `line ${i + 2} ${pointer}`.trim(), detail }]);
  };
  for (const [i, { table, row }] of current.rows.entries()) {
    if (i % CHECKED_AT_ONCE === 0) {
      told({ stage: "checking", done: i, of: current.rows.length });
      await new Promise((resolve) => setImmediate(resolve));
    }
    const validate = ROWS[table];
    const read: unknown = JSON.parse(row);
    if (!validate(read)) {
      const [error] = schemaErrors(validate, read);
      refuse(i, table, error?.pointer ?? "", error?.detail ?? "It does not fit.");
    }
  }
  return current;
}

/** Replaces all rows at once, after writing down what was there. */
export async function putInPlace(
  database: db.ReplaceableDatabase,
  dump: db.Dump,
  folder: string,
  told: (progress: RestoreProgress) => unknown = () => undefined,
): Promise<Restored> {
  const now = new Date().toISOString();
  const kept = await withMarks(database, dump);
  await database
    .replaceAll(kept, {
      keep: (before) => (before.rows.length > 0 ? keep(folder, now, db.encodeDump(before)) : () => undefined),
      onRows: (done) => told({ stage: "laying beside", done, of: kept.rows.length }),
    })
    .catch(refuseRows);
  for (const name of keptIn(folder).slice(0, -MOST_KEPT)) rmSync(join(keptFolder(folder), name), { force: true });
  const count = (table: db.TableName) => dump.rows.filter((row) => row.table === table).length;
  return { recipes: count("recipe"), versions: count("version"), made: dump.made };
}

/** What says of this folder, not of its contents, that the demo was put in once: a backup without it must not bring it on again. */
async function withMarks(database: db.Database, dump: db.Dump): Promise<db.Dump> {
  const seeded = await db.readSetting(database, "seeded");
  const has = dump.rows.some(({ table, row }) => table === "setting" && (JSON.parse(row) as { readonly key: string }).key === "seeded");
  if (!seeded.value || has) return dump;
  return { ...dump, rows: [...dump.rows, { table: "setting", row: JSON.stringify({ key: "seeded", value: true, revision: 1 }) }] };
}

/** Writes down what was there before a restore; what comes back takes it away again, where the restore is refused. */
function keep(folder: string, now: string, text: string): () => void {
  mkdirSync(keptFolder(folder), { recursive: true, mode: 0o700 });
  const number = 1 + Math.max(0, ...keptIn(folder).map(numberOf));
  const path = join(keptFolder(folder), `before-${String(number).padStart(6, "0")}-${now.slice(0, 19).replaceAll(":", "-")}.jsonl`);
  db.writeDurably(path, text);
  return () => rmSync(path, { force: true });
}

function refuseRows(error: unknown): never {
  // The rows contradict each other (a double key, a table of no recipe): the database said so, and took none of them.
  if (error instanceof Error && "code" in error && /^2[23]/.test(String(error.code)))
    throw new Refusal(422, `The rows of the backup contradict each other: ${error.message}. Nothing was changed.`);
  throw error;
}
