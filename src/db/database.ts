/** The little of a PostgreSQL connection that queries need; PGlite stands behind it here, a server can. */
export interface Connection {
  query<Row>(sql: string, parameters?: readonly unknown[]): Promise<readonly Row[]>;
}

export interface Database extends Connection {
  /** Runs all or nothing. */
  transaction<T>(work: (connection: Connection) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}
