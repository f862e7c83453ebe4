import type { Dump } from "./tables";

/** What a statement takes; documents go in as JSON text. Plain, so that the journal can hold it. */
export type Parameter = string | number | boolean | null;

/** A statement was refused. Holds neither the statement nor its values. */
export class DatabaseError extends Error {
  constructor(
    /** SQLSTATE, PostgreSQL's appendix A; empty where there is none. */
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

/** A row as the driver gives it: read by `rows.ts`. */
export type Row = Readonly<Record<string, unknown>>;

/** The little of a PostgreSQL connection that queries need: PGlite or a server stands behind it (`backends`). */
export interface Connection {
  query(sql: string, parameters?: readonly Parameter[]): Promise<readonly Row[]>;
}

/**
 * A database whose acknowledged writes are on the disk. Statements hold no clock and no chance (times and ids are
 * parameters), so that a journal of them leads to the same rows again.
 */
export interface Database extends Connection {
  /** Runs all or nothing. */
  transaction<T>(work: (connection: Connection) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** A database that can also be replaced whole. */
export interface ReplaceableDatabase extends Database {
  /**
   * Puts the rows of a dump in the place of all that is there. They are laid beside first, a few at a time, so that reads
   * go on; what is told of it are rows. `keep` gets what was there, and runs before anything counts; it returns what takes
   * that back, which runs where the dump is refused.
   */
  replaceAll(dump: Dump, options: { readonly keep: (before: Dump) => () => void; readonly onRows?: (done: number) => void }): Promise<void>;
}
