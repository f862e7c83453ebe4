import { existsSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { Connection, Database } from "./database";
import { decodeDump, dumpRows, encodeDump, loadRows, type Dump } from "./dump";
import { syncFolder, writeDurably } from "./durable-files";
import { readJournal, type JournalEntry } from "./journal";
import { migrate } from "./migrate";
import { openPglite } from "./pglite";

/**
 * What survives a power cut: a checkpoint (all rows as of one journal number) and the journal since. The number stands in
 * the files' names, so that a new checkpoint counts from the moment that it has its name.
 */
export const checkpointPath = (folder: string, number: number): string => join(folder, `checkpoint-${number}.jsonl`);
export const journalPath = (folder: string, number: number): string => join(folder, `journal-${number}.jsonl`);

const numbersOf = (folder: string, kind: "checkpoint" | "journal"): number[] =>
  (existsSync(folder) ? readdirSync(folder) : [])
    .flatMap((name) => new RegExp(`^${kind}-(\\d+)\\.jsonl$`).exec(name)?.[1] ?? [])
    .map(Number)
    .sort((a, b) => a - b);

export const lastCheckpoint = (folder: string): number | null => numbersOf(folder, "checkpoint").at(-1) ?? null;

/** Writes all rows down as a new checkpoint, and lets go of the files that it stands for. */
export async function writeCheckpoint(folder: string, connection: Connection, number: number): Promise<void> {
  writeDurably(checkpointPath(folder, number), encodeDump(await dumpRows(connection, new Date().toISOString())));
  for (const kind of ["checkpoint", "journal"] as const)
    for (const older of numbersOf(folder, kind))
      if (older < number) rmSync(kind === "checkpoint" ? checkpointPath(folder, older) : journalPath(folder, older), { force: true });
  syncFolder(folder);
}

/** Does what the journal says after `position`, each entry all or nothing, and remembers how far it came. */
export async function replay(database: Database, entries: readonly JournalEntry[], position: number): Promise<number> {
  let reached = position;
  for (const { number, statements } of entries) {
    if (number <= reached) continue;
    await database.transaction(async (connection) => {
      for (const [sql, parameters] of statements) await connection.query(sql, parameters);
      await setPosition(connection, number);
    });
    reached = number;
  }
  return reached;
}

export async function setPosition(connection: Connection, number: number): Promise<void> {
  await connection.query("UPDATE journal_position SET number = $1", [number]);
}
export async function readPosition(connection: Connection): Promise<number> {
  const [row] = await connection.query<{ number: number }>("SELECT number FROM journal_position");
  return row?.number ?? 0;
}

/** Fills an empty database with a dump, whichever schema it is of, and leaves it at that schema. */
export async function fill(database: Database, dump: Dump): Promise<void> {
  await migrate(database, dump.schema);
  await database.transaction((connection) => loadRows(connection, dump));
}

/** Fills an empty database from the last checkpoint of a folder and the journal since. Returns the number reached. */
export async function rebuild(database: Database, folder: string): Promise<number> {
  const number = lastCheckpoint(folder);
  if (number === null) throw new Error(`There is no checkpoint in ${folder}.`);
  const dump = decodeDump(readFileSync(checkpointPath(folder, number), "utf8"));
  if (!dump.ok) throw new Error(`The checkpoint ${checkpointPath(folder, number)} cannot be read. ${dump.error.why}`);
  await fill(database, dump.value);
  await setPosition(database, number);
  return replay(database, readJournal(journalPath(folder, number)).entries, number);
}

const TRIES = 5;

/**
 * A copy of a folder's data in memory, as of the last acknowledged write: made from checkpoint and journal, so that it
 * needs no lock and can be taken while a server runs.
 */
export async function openCopy(folder: string): Promise<Database> {
  for (let attempt = 1; ; attempt++) {
    const before = lastCheckpoint(folder);
    const copy = await openPglite(null);
    try {
      await rebuild(copy, folder);
      // A checkpoint made meanwhile may have taken the journal away under the reading.
      if (lastCheckpoint(folder) === before) return copy;
    } catch (error) {
      if (lastCheckpoint(folder) === before || attempt >= TRIES) {
        await copy.close();
        throw error;
      }
    }
    await copy.close();
  }
}

/** A dump brought up to the schema of this code, by way of a database in memory. */
export async function upgradeDump(dump: Dump, made: string): Promise<Dump> {
  const copy = await openPglite(null);
  try {
    await fill(copy, dump);
    await migrate(copy);
    return await dumpRows(copy, made);
  } finally {
    await copy.close();
  }
}
