import { Pool, type PoolClient } from "pg";
import { DatabaseError, type Connection, type Database, type Parameter, type ReplaceableDatabase, type Row } from "../database";
import { dumpRows, loadStaged, stageRows } from "../dump";
import { migrate } from "../migrate";

/** Connections of one process. */
const MOST_CONNECTIONS = 10;
/** What only one process at a time may do: bring the schema up, put a first household in. Any number, the same everywhere. */
const ALONE = 7_340_021;
/** Two transactions that cannot both have been first: one of them is done again (SQLSTATE, appendix A). */
const AGAIN = new Set(["40001", "40P01"]);
const MOST_TRIES = 20;

interface Queryable {
  query(sql: string, parameters: Parameter[]): Promise<{ readonly rows: unknown[] }>;
}

/** What went wrong, without the statement and its values: they are somebody's recipes, and errors end in a log. */
const plain = (error: unknown): Error => {
  const code = error instanceof Error && "code" in error ? String(error.code) : "";
  return new DatabaseError(code, error instanceof Error ? error.message : String(error));
};

const face = (of: Queryable): Connection => ({
  query: async (sql: string, parameters: readonly Parameter[] = []) => {
    try {
      return (await of.query(sql, [...parameters])).rows as Row[];
    } catch (error) {
      throw plain(error);
    }
  },
});

async function within<T>(client: PoolClient, work: (connection: Connection) => Promise<T>): Promise<T> {
  await client.query("BEGIN ISOLATION LEVEL SERIALIZABLE");
  try {
    const done = await work(face(client));
    await client.query("COMMIT");
    return done;
  } catch (error) {
    await client.query("ROLLBACK").catch(() => undefined);
    throw error instanceof Error && "code" in error && !(error instanceof DatabaseError) ? plain(error) : error;
  }
}

const isAgain = (error: unknown) => error instanceof DatabaseError && AGAIN.has(error.code);
/** A pause before the next try, longer each time, so that two processes do not meet again and again. */
const pause = (tries: number) => new Promise((resolve) => setTimeout(resolve, 5 * tries ** 2));

async function transactionOn<T>(client: PoolClient, work: (connection: Connection) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await within(client, work);
    } catch (error) {
      if (!isAgain(error) || tries >= MOST_TRIES) throw error;
      await pause(tries);
    }
  }
}

/** A database on one connection alone. */
const onClient = (client: PoolClient): Omit<Database, "close"> => ({ ...face(client), transaction: (work) => transactionOn(client, work) });

/**
 * A PostgreSQL server as the database (15 or later; `url` as DATABASE_URL says). Transactions are serializable: of two that
 * cannot both have been first one is done again, so that what they do besides the database must bear that. Several
 * processes may work on one server; `prepare` is done by one of them at a time, after the schema was brought up.
 */
export async function openPostgres(
  url: string,
  prepare: (database: Omit<Database, "close">) => Promise<void> = async () => undefined,
): Promise<ReplaceableDatabase> {
  const pool = new Pool({
    connectionString: url,
    max: MOST_CONNECTIONS,
    options: "-c TimeZone=UTC -c synchronous_commit=on",
  });
  // A connection that breaks while nobody uses it is taken out; the next one is made anew.
  pool.on("error", (error) => console.error("Threpsis data: a connection to the database broke:", error.message));
  const withClient = async <T>(work: (client: PoolClient) => Promise<T>): Promise<T> => {
    const client = await pool.connect().catch((error: unknown) => {
      throw plain(error);
    });
    try {
      return await work(client);
    } finally {
      client.release();
    }
  };
  const alone = <T>(work: (client: PoolClient) => Promise<T>): Promise<T> =>
    withClient(async (client) => {
      await client.query("SELECT pg_advisory_lock($1)", [ALONE]);
      try {
        return await work(client);
      } finally {
        await client.query("SELECT pg_advisory_unlock($1)", [ALONE]).catch(() => undefined);
      }
    });
  try {
    await alone(async (client) => {
      const database = onClient(client);
      await migrate(database);
      await prepare(database);
    });
  } catch (error) {
    await pool.end();
    throw error;
  }
  return {
    ...face(pool),
    transaction: (work) => withClient((client) => transactionOn(client, work)),
    replaceAll: (dump, { keep, onRows }) =>
      alone(async (client) => {
        await stageRows(onClient(client), dump, onRows ?? (() => undefined));
        let takeBack = () => undefined as unknown;
        try {
          await transactionOn(client, async (inside) => {
            takeBack();
            takeBack = keep(await dumpRows(inside, new Date().toISOString()));
            await loadStaged(inside);
          });
        } catch (error) {
          takeBack();
          throw error;
        }
      }),
    close: () => pool.end(),
  };
}
