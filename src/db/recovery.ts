import { existsSync, renameSync, rmSync } from "node:fs";
import { basename, join } from "node:path";
import type { Connection, Database } from "./database";
import { dumpRows, encodeDump, loadRows } from "./dump";
import { TABLES, type Dump } from "./tables";
import { syncFolder, syncTree, writeDurably } from "./durable-files";
import { checkpointPath, forgetOlder, hasSetAside, lastCheckpoint, numbersOf, readHistory, setAside, type History } from "./history";
import type { JournalEntry } from "./journal";
import { latestSchema, migrate } from "./migrate";
import { openPglite } from "./backends/pglite";
import { maybe, maybeOne, number, one } from "./rows";

/** The data of a folder cannot be opened without losing something; what is wrong and what can be done stand in the message. */
export class CannotRecover extends Error {}

/** Writes all rows down as a new checkpoint, and lets go of what is older than the one before. */
export async function writeCheckpoint(folder: string, connection: Connection, number: number): Promise<void> {
  writeDurably(checkpointPath(folder, number), encodeDump(await dumpRows(connection, new Date().toISOString())));
  forgetOlder(folder);
}

const REPLAYED_AT_ONCE = 200;

/** Does what the journal says after `position`, in order, and remembers how far it came. */
export async function replay(database: Database, entries: readonly JournalEntry[], position: number): Promise<number> {
  const due = entries.filter(({ number }) => number > position);
  for (let from = 0; from < due.length; from += REPLAYED_AT_ONCE) {
    const some = due.slice(from, from + REPLAYED_AT_ONCE);
    await database.transaction(async (connection) => {
      for (const { statements } of some) for (const [sql, parameters] of statements) await connection.query(sql, parameters);
      await setPosition(connection, some.at(-1)?.number ?? position);
    });
  }
  return due.at(-1)?.number ?? position;
}

export async function setPosition(connection: Connection, number: number): Promise<void> {
  await connection.query("UPDATE journal_position SET number = $1", [number]);
}
export async function readPosition(connection: Connection): Promise<number> {
  return (await maybeOne(connection, { number }, "SELECT number FROM journal_position"))?.number ?? 0;
}

/** Fills an empty database with a dump, whichever schema it is of, and leaves it at that schema. */
export async function fill(database: Database, dump: Dump): Promise<void> {
  await migrate(database, dump.schema);
  await database.transaction((connection) => loadRows(connection, dump));
}

/** Fills an empty database from a folder's history. Returns the number reached. Throws where there is no whole checkpoint. */
export async function rebuild(database: Database, { from, dump, entries }: History): Promise<number> {
  if (from === null || dump === null) throw new CannotRecover("There is no checkpoint that can be read.");
  await fill(database, dump);
  for (const [table] of TABLES) {
    const expected = dump.rows.filter((row) => row.table === table).length;
    const there = expected === 0 ? 0 : await countRows(database, table);
    if (there !== expected) throw new CannotRecover(`Of ${expected} rows of ${table} ${there} came back from the checkpoint.`);
  }
  await setPosition(database, from);
  return replay(database, entries, from);
}

async function countRows(connection: Connection, table: string): Promise<number> {
  return (await one(connection, { total: number }, `SELECT count(*)::int AS total FROM ${table}`)).total;
}

/** Reads every row whole. Throws where one cannot be. */
async function readAll(connection: Connection): Promise<void> {
  const schema = await one(connection, { number: maybe(number) }, "SELECT max(number) AS number FROM migration");
  if ((schema.number ?? 0) < latestSchema()) return;
  for (const [table] of TABLES) await connection.query(`SELECT sum(length(to_jsonb(t)::text)) AS characters FROM ${table} t`);
}

/** The database as it lies in the folder. */
type Found =
  | { readonly kind: "none" }
  | { readonly kind: "unreadable"; readonly why: string }
  | { readonly kind: "open"; readonly pg: Database; readonly position: number };

/** Opens what lies in the folder; where the power was lost meanwhile, every row is read before it is believed. */
async function openFound(path: string, thorough: boolean): Promise<Found> {
  if (!existsSync(path)) return { kind: "none" };
  // Without this file PGlite would make a new database in the same place.
  if (!existsSync(join(path, "PG_VERSION"))) return { kind: "unreadable", why: "it has no PG_VERSION" };
  let pg: Database;
  try {
    pg = await openPglite(path);
  } catch (error) {
    return { kind: "unreadable", why: error instanceof Error ? error.message : String(error) };
  }
  try {
    const schema = await maybeOne(pg, { number: maybe(number) }, "SELECT max(number) AS number FROM migration").catch(() => null);
    // Says that the data are of a newer version; nothing is touched.
    if ((schema?.number ?? 0) > latestSchema()) await migrate(pg);
    const position = (schema?.number ?? 0) < FIRST_WITH_JOURNAL ? 0 : await readPosition(pg);
    if (thorough) await readAll(pg);
    return { kind: "open", pg, position };
  } catch (error) {
    await pg.close().catch(() => undefined);
    if (error instanceof Error && /newer version/.test(error.message)) throw error;
    return { kind: "unreadable", why: error instanceof Error ? error.message : String(error) };
  }
}
const FIRST_WITH_JOURNAL = 2;

/** What to do with a folder, and what whoever uses it has to be told. */
export type Plan =
  | { readonly kind: "new" }
  /** The database counts, with what the history has beyond it. */
  | { readonly kind: "reopen"; readonly told: readonly string[]; readonly checkpoint: boolean }
  | { readonly kind: "rebuild"; readonly told: readonly string[]; readonly checkpoint: boolean }
  | { readonly kind: "refuse"; readonly why: string };

export interface Survey {
  readonly database: { readonly kind: "none" | "unreadable" } | { readonly kind: "open"; readonly position: number };
  /** Whether the power was lost while the folder was open: what PGlite wrote last may be on the disk in part. */
  readonly powerLost: boolean;
  readonly history: Pick<History, "from" | "reaches" | "damage" | "complete">;
  /** Whether there is a checkpoint or a journal at all, and whether something was set aside. */
  readonly hasHistory: boolean;
  readonly hasAside: boolean;
  /** Whether the maker has said to go on with what can be read. */
  readonly salvage: boolean;
}

const named = (damage: History["damage"]) => damage.map(({ path, why }) => `${basename(path)} (${why})`).join(", ");

/**
 * Decides by what reaches furthest: the database where it is whole and the history does not go beyond it, else the history
 * where it is whole. Nothing is given up in silence, and nothing that may be whole is deleted; where neither is whole,
 * nothing is touched.
 */
export function planFor({ database, powerLost, history, hasHistory, hasAside, salvage }: Survey): Plan {
  const { from, reaches, damage, complete } = history;
  const whole = damage.length === 0;
  if (!hasHistory) {
    if (database.kind === "open") return { kind: "reopen", told: [], checkpoint: true };
    if (database.kind === "none" && !hasAside) return { kind: "new" };
    return {
      kind: "refuse",
      why:
        database.kind === "none"
          ? "The folder holds no database, but set-aside holds an earlier one: it is not a new folder."
          : "The database in postgres cannot be opened, and there is neither checkpoint nor journal to build it again from.",
    };
  }
  const damaged = whole ? [] : [`Damaged: ${named(damage)}. What could not be read was moved to set-aside.`];
  if (database.kind === "open") {
    const { position } = database;
    if (from === null)
      return {
        kind: "reopen",
        told: [...damaged, "There was no checkpoint that can be read. The database is whole and counts; a new checkpoint was made."],
        checkpoint: true,
      };
    if (position > reaches) {
      const ahead = `The journal ends at change ${reaches}, the database at ${position}: the database counts, and a new checkpoint was made.`;
      return { kind: "reopen", told: [...damaged, ahead], checkpoint: true };
    }
    const believed = !powerLost && position >= from;
    if (complete) return { kind: believed ? "reopen" : "rebuild", told: whole ? [] : [...damaged, "Nothing is missing by that."], checkpoint: !whole };
    if (believed)
      return { kind: "reopen", told: [...damaged, "The database is whole and counts. If the last thing you did is missing, do it again."], checkpoint: true };
    return { kind: "rebuild", told: [...damaged, `What was built again goes up to change ${reaches}; later ones could not be read.`], checkpoint: true };
  }
  const missing = database.kind === "none" ? "The database was not there" : "The database could not be opened";
  if (complete)
    return { kind: "rebuild", told: [...damaged, `${missing}; it was built again from checkpoint and journal, up to the last change.`], checkpoint: !whole };
  if (from !== null && salvage)
    return { kind: "rebuild", told: [...damaged, `${missing}; it was built again up to change ${reaches}. Later ones could not be read.`], checkpoint: true };
  return {
    kind: "refuse",
    why:
      from === null
        ? `${missing}, and there is no checkpoint to build it again from${whole ? "" : `: damaged are ${named(damage)}`}.`
        : `${missing}, and ${named(damage)}.`,
  };
}

/** The ways out of a folder that is not opened. */
const waysOut = (folder: string, salvageable: boolean) =>
  [
    `Nothing in ${folder} was changed. You can`,
    "- put the named files back from a copy of the folder, if you have one;",
    ...(salvageable ? ["- go on with what can be read: npm run restore -- --salvage (what cannot is moved to set-aside and named);"] : []),
    "- put a backup in place: npm run restore -- file.jsonl (all that is there is moved to set-aside).",
  ].join("\n");

export interface Recovered {
  readonly pg: Database;
  readonly position: number;
  readonly told: readonly string[];
  /** Whether a checkpoint of what is there now has to be written before the journal goes on. */
  readonly checkpoint: boolean;
}

/** Opens the data of a folder as `planFor` decides. Throws CannotRecover, with nothing changed, where they cannot be opened without loss. */
export async function recover(
  folder: string,
  { powerLost, salvage, anew }: { readonly powerLost: boolean; readonly salvage: boolean; readonly anew: boolean },
): Promise<Recovered> {
  const path = join(folder, "postgres");
  const building = join(folder, "postgres-new");
  // Left by a start that was cut short: it never counted.
  rmSync(building, { recursive: true, force: true });
  const history = readHistory(folder);
  const hasHistory = lastCheckpoint(folder) !== null || numbersOf(folder, "journal").length > 0;
  const found = await openFound(path, powerLost || history.damage.length > 0);
  const plan = planFor({ database: found, powerLost, history, hasHistory, hasAside: hasSetAside(folder) && !anew, salvage });
  const damaged = history.damage.map((each) => each.path);
  switch (plan.kind) {
    case "refuse":
      if (found.kind === "open") await found.pg.close();
      throw new CannotRecover(`${plan.why}${found.kind === "unreadable" ? ` (${found.why})` : ""}\n${waysOut(folder, history.from !== null)}`);
    case "new": {
      // Made beside, so that a start that is cut short leaves nothing that a later one would take for data.
      const made = await openPglite(building);
      await migrate(made);
      await made.close();
      return { pg: await putInPlace(folder, building, path, []), position: 0, told: [], checkpoint: true };
    }
    case "reopen": {
      if (found.kind !== "open") throw new CannotRecover("The database is not open.");
      const { pg } = found;
      const reached = await replay(pg, history.entries, found.position);
      const migrated = await migrate(pg);
      setAside(folder, damaged);
      return { pg, position: reached, told: plan.told, checkpoint: plan.checkpoint || migrated > 0 };
    }
    case "rebuild": {
      if (found.kind === "open") await found.pg.close();
      const built = await openPglite(building);
      let migrated: number;
      let position: number;
      try {
        position = await rebuild(built, history);
        migrated = await migrate(built);
        await readAll(built);
      } catch (error) {
        await built.close();
        rmSync(building, { recursive: true, force: true });
        throw new CannotRecover(`The database could not be built again: ${error instanceof Error ? error.message : String(error)}\n${waysOut(folder, false)}`);
      }
      await built.close();
      return { pg: await putInPlace(folder, building, path, [path, ...damaged]), position, told: plan.told, checkpoint: plan.checkpoint || migrated > 0 };
    }
  }
}

/** Puts a database that was made beside in its place, what was there or is damaged aside, and opens it. */
async function putInPlace(folder: string, building: string, path: string, aside: readonly string[]): Promise<Database> {
  syncTree(building);
  setAside(folder, aside);
  renameSync(building, path);
  syncFolder(folder);
  return openPglite(path);
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
      const history = readHistory(folder);
      if (history.damage.length > 0) throw new CannotRecover(`Damaged: ${named(history.damage)}.`);
      await rebuild(copy, history);
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
