import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { bootMark } from "./boot";
import type { Connection, ReplaceableDatabase } from "./database";
import { dumpRows, loadStaged, stageRows } from "./dump";
import { isFullDisk, syncTree, writeDurably } from "./durable-files";
import { checkpointPath, journalPath, lastCheckpoint } from "./history";
import { openJournal, type Statement } from "./journal";
import { fullDisk, takeFolder } from "./lock";
import { addNotices } from "./notices";
import { recover, setPosition, writeCheckpoint } from "./recovery";
import { one, truth } from "./rows";

const MOST_JOURNAL_BYTES = 16 * 1024 * 1024;
/** To do a change again takes about a millisecond: a rebuild is not to take longer than some seconds. */
const MOST_JOURNAL_ENTRIES = 2000;
const READS = /^\s*select\b/i;

export interface OpenOptions {
  /** A journal longer than this is followed by a new checkpoint. */
  readonly mostJournalBytes?: number;
  /** So is one of more entries. */
  readonly mostJournalEntries?: number;
  /** Goes on with what can be read where something cannot. */
  readonly salvage?: boolean;
  /** Begins a new database although an earlier one was set aside. */
  readonly anew?: boolean;
}

/**
 * Opens the data of a folder for this process alone. PGlite never calls fsync, whatever its settings say (found with
 * strace), so its files survive the process being killed but not the power. Therefore each transaction that writes is
 * first put on the disk in a journal, and only then committed and acknowledged. At start `recover` brings database and
 * journal together.
 */
export async function openDatabase(
  folder: string,
  { mostJournalBytes = MOST_JOURNAL_BYTES, mostJournalEntries = MOST_JOURNAL_ENTRIES, salvage = false, anew = false }: OpenOptions = {},
): Promise<ReplaceableDatabase> {
  let release = (): void => undefined;
  try {
    release = takeFolder(folder);
    const mark = join(folder, "opened");
    const powerLost = existsSync(mark) && readFileSync(mark, "utf8") !== bootMark();
    // Closed in good order its files are on the disk; from now on they may not be.
    if (!powerLost) writeDurably(mark, bootMark());
    const recovered = await recover(folder, { powerLost, salvage, anew });
    const { pg } = recovered;
    let { position } = recovered;
    if (recovered.checkpoint || lastCheckpoint(folder) === null) await writeCheckpoint(folder, pg, position);
    let since = lastCheckpoint(folder) ?? position;
    let journal = openJournal(journalPath(folder, since));
    writeDurably(mark, bootMark());
    for (const text of recovered.told) console.error(`Threpsis data: ${text}`);
    addNotices(folder, recovered.told, new Date().toISOString());
    let broken: unknown = null;
    const stillWhole = () => {
      if (broken !== null) throw new Error("The database stopped after a failed write; start Threpsis again.", { cause: broken });
    };

    const followedBy = (number: number) => {
      const next = openJournal(journalPath(folder, number));
      journal.close();
      journal = next;
      since = number;
    };
    // Within a transaction, so that no write comes between the rows and their number.
    const checkpoint = () =>
      pg.transaction(async (inner) => {
        await writeCheckpoint(folder, inner, position);
        followedBy(position);
      });
    const transaction = async <T>(work: (connection: Connection) => Promise<T>): Promise<T> => {
      stillWhole();
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
          journal.takeBack();
        }
        throw error;
      }
      // The write is safe already; a checkpoint that fails is tried again after the next one.
      if (written.number !== null && (journal.bytes() > mostJournalBytes || position - since >= mostJournalEntries))
        await checkpoint().catch((error: unknown) =>
          console.error("Threpsis data: no checkpoint could be made:", error instanceof Error ? error.message : error),
        );
      return result;
    };
    const replaceAll: ReplaceableDatabase["replaceAll"] = async (dump, { keep, onRows }) => {
      stillWhole();
      await stageRows(pg, dump, onRows ?? (() => undefined));
      let takeBack = () => undefined as unknown;
      // Known only within the transaction: others may have written while the rows were laid beside.
      const written: { number: number | null } = { number: null };
      try {
        await pg.transaction(async (inner) => {
          takeBack = keep(await dumpRows(inner, new Date().toISOString()));
          await loadStaged(inner);
          const number = position + 1;
          await setPosition(inner, number);
          written.number = number;
          // All that is there stands in the checkpoint: it takes the place of an entry in the journal. What is written next
          // goes into the journal after it, so that one is opened before anybody else can write.
          await writeCheckpoint(folder, inner, number);
          followedBy(number);
          position = number;
        });
      } catch (error) {
        takeBack();
        if (written.number !== null) {
          // The checkpoint tells of what was not committed.
          broken = error;
          rmSync(checkpointPath(folder, written.number), { force: true });
          rmSync(journalPath(folder, written.number), { force: true });
        }
        throw error;
      }
    };
    return {
      query: (sql, parameters) => (READS.test(sql) ? pg.query(sql, parameters) : transaction((connection) => connection.query(sql, parameters))),
      transaction,
      replaceAll,
      close: async () => {
        await pg.close();
        journal.close();
        syncTree(join(folder, "postgres"));
        rmSync(mark, { force: true });
        release();
      },
    };
  } catch (error) {
    release();
    throw isFullDisk(error) ? fullDisk(folder) : error;
  }
}

/** Whether the transaction has changed anything so far: a statement may look like a write and only read (WITH … SELECT). */
async function hasWritten(connection: Connection): Promise<boolean> {
  return (await one(connection, { wrote: truth }, "SELECT pg_current_xact_id_if_assigned() IS NOT NULL AS wrote")).wrote;
}
