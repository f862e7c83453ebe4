import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { bootMark } from "./boot";
import type { Connection, Database } from "./database";
import { syncTree, writeDurably } from "./durable-files";
import { openJournal, readJournal, type Journal, type Statement } from "./journal";
import { takeFolder } from "./lock";
import { latestSchema, migrate } from "./migrate";
import { openPglite } from "./pglite";
import { journalPath, lastCheckpoint, readPosition, rebuild, replay, setPosition, writeCheckpoint } from "./recovery";

const MOST_JOURNAL_BYTES = 16 * 1024 * 1024;
const READS = /^\s*select\b/i;

/**
 * Opens the data of a folder for this process alone. PGlite never calls fsync, whatever its settings say (found with
 * strace), so its files survive the process being killed but not the power. Therefore each transaction that writes is
 * first put on the disk in a journal, and only then committed and acknowledged. At start: after a kill PGlite recovers by
 * itself and the journal adds what it lacks; after a power cut (the machine has started anew since the folder was opened,
 * and it was not closed) the database is built again from the last checkpoint and the journal.
 */
export async function openDatabase(folder: string, mostJournalBytes = MOST_JOURNAL_BYTES): Promise<Database> {
  const release = takeFolder(folder);
  try {
    const opened = await recover(folder);
    const { pg } = opened;
    let { position, journal } = opened;
    let broken: unknown = null;

    // Within a transaction, so that no write comes between the rows and their number.
    const checkpoint = () =>
      pg.transaction(async (inner) => {
        await writeCheckpoint(folder, inner, position);
        const next = openJournal(journalPath(folder, position));
        journal.close();
        journal = next;
      });
    const transaction = async <T>(work: (connection: Connection) => Promise<T>): Promise<T> => {
      if (broken !== null) throw new Error("The database stopped after a failed write; start Threpsis again.", { cause: broken });
      const written: { number: number | null } = { number: null };
      let result: T;
      try {
        result = await pg.transaction(async (inner) => {
          const statements: Statement[] = [];
          const done = await work({
            query: (sql, parameters = []) => {
              if (!READS.test(sql)) statements.push([sql, parameters]);
              return inner.query(sql, parameters);
            },
          });
          if (statements.length > 0 && (await hasWritten(inner))) {
            await setPosition(inner, position + 1);
            journal.append({ number: position + 1, statements });
            written.number = position += 1;
          }
          return done;
        });
      } catch (error) {
        if (written.number !== null) {
          // In the journal but not committed: taken out of it again, so that a refused write does not come back.
          broken = error;
          journal.append({ number: written.number, statements: [], void: true });
        }
        throw error;
      }
      // The write is safe already; a checkpoint that fails is tried again after the next one.
      if (written.number !== null && journal.bytes() > mostJournalBytes) await checkpoint().catch((error: unknown) => console.error("No checkpoint:", error));
      return result;
    };
    return {
      query: (sql, parameters) => (READS.test(sql) ? pg.query(sql, parameters) : transaction((connection) => connection.query(sql, parameters))),
      transaction,
      close: async () => {
        await pg.close();
        journal.close();
        syncTree(join(folder, "postgres"));
        rmSync(join(folder, "opened"), { force: true });
        release();
      },
    };
  } catch (error) {
    release();
    throw error;
  }
}

/** Whether the transaction has changed anything so far: a statement may look like a write and only read (WITH … SELECT). */
async function hasWritten(connection: Connection): Promise<boolean> {
  const [row] = await connection.query<{ wrote: boolean }>("SELECT pg_current_xact_id_if_assigned() IS NOT NULL AS wrote");
  return row?.wrote !== false;
}

interface Opened {
  readonly pg: Database;
  readonly position: number;
  readonly journal: Journal;
}

async function recover(folder: string): Promise<Opened> {
  const path = join(folder, "postgres");
  const mark = join(folder, "opened");
  const last = lastCheckpoint(folder);
  const powerLost = existsSync(mark) && readFileSync(mark, "utf8") !== bootMark();
  // Until all is well again, a start that is cut short counts as a power cut.
  writeDurably(mark, "recovering");
  const reopened = last !== null && !powerLost && existsSync(path) ? await reopen(path, folder, last) : null;
  if (last !== null && !reopened) rmSync(path, { recursive: true, force: true });
  const pg = reopened?.pg ?? (await openPglite(path));
  // Without a checkpoint the folder is new, or was written before there was a journal: what is there counts.
  let position = reopened?.position ?? (last === null ? 0 : await rebuild(pg, folder));
  const migrated = await migrate(pg);
  if (last === null) position = await readPosition(pg);
  if (last === null || !reopened || migrated > 0) await writeCheckpoint(folder, pg, position);
  const number = lastCheckpoint(folder) ?? position;
  const journal = openJournal(journalPath(folder, number));
  writeDurably(mark, bootMark());
  return { pg, position, journal };
}

/** PGlite as it was left, with what the journal has beyond it; null where its files cannot be relied on. */
async function reopen(path: string, folder: string, last: number): Promise<{ readonly pg: Database; readonly position: number } | null> {
  const { entries } = readJournal(journalPath(folder, last));
  let pg: Database;
  try {
    pg = await openPglite(path);
  } catch {
    return null;
  }
  const [schema] = await pg.query<{ number: number }>("SELECT max(number) AS number FROM migration").catch(() => []);
  if ((schema?.number ?? 0) > latestSchema()) await migrate(pg);
  const position = await readPosition(pg).catch(() => null);
  if (position !== null && position >= last && position <= (entries.at(-1)?.number ?? last)) return { pg, position: await replay(pg, entries, position) };
  await pg.close();
  return null;
}
