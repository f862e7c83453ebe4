import type { Connection, Parameter, Row } from "./database";

/** What a column holds, read; throws where it holds something else. */
type Column<T> = (value: unknown) => T;
type Columns = Readonly<Record<string, Column<unknown>>>;
type Read<C extends Columns> = { readonly [Name in keyof C]: ReturnType<C[Name]> };

/** A row is not as the query says: the statement and the schema do not fit each other. */
class UnexpectedRow extends Error {}

const typed =
  <T>(what: string, is: (value: unknown) => value is T): Column<T> =>
  (value) => {
    if (is(value)) return value;
    throw new UnexpectedRow(`A column should hold ${what}; it holds ${value === null ? "nothing" : `a ${typeof value}`}.`);
  };

export const text = typed("a text", (value) => typeof value === "string");
export const number = typed("a number", (value) => typeof value === "number");
export const truth = typed("true or false", (value) => typeof value === "boolean");
export const texts = typed("a list of texts", (value): value is readonly string[] => Array.isArray(value) && value.every((each) => typeof each === "string"));
/** A moment, as ISO: drivers give it as a date or as a text. */
export const time: Column<string> = (value) => {
  const moment = value instanceof Date || typeof value === "string" ? new Date(value) : null;
  if (moment && !Number.isNaN(moment.getTime())) return moment.toISOString();
  throw new UnexpectedRow("A column should hold a moment.");
};
export const maybe =
  <T>(column: Column<T>): Column<T | null> =>
  (value) =>
    value === null ? null : column(value);
/** One of a few words. */
export const word = <const Words extends readonly string[]>(words: Words): Column<Words[number]> =>
  typed(words.join(" or "), (value): value is Words[number] => words.some((each) => each === value));
/** A document, checked where it was taken in; null where there is none. */
export const json: Column<unknown> = (value) => value;
/** A document of which it is known that it was checked as this. */
export const documentOf = <T>(): Column<T> => typed("a document", (value): value is T => typeof value === "object" && value !== null);

const readRow = <C extends Columns>(row: Row, columns: C): Read<C> =>
  Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, column(row[name])])) as Read<C>;

/** All rows of a query. */
export async function many<C extends Columns>(db: Connection, columns: C, sql: string, parameters: readonly Parameter[] = []): Promise<readonly Read<C>[]> {
  return (await db.query(sql, parameters)).map((row) => readRow(row, columns));
}

/** The row of a query that has one or none; throws where there are more. */
export async function maybeOne<C extends Columns>(db: Connection, columns: C, sql: string, parameters: readonly Parameter[] = []): Promise<Read<C> | null> {
  const [row, ...more] = await db.query(sql, parameters);
  if (more.length > 0) throw new UnexpectedRow(`A query for one row gave ${more.length + 1}.`);
  return row ? readRow(row, columns) : null;
}

/** The row of a query that always has one; throws where there is none, or more. */
export async function one<C extends Columns>(db: Connection, columns: C, sql: string, parameters: readonly Parameter[] = []): Promise<Read<C>> {
  const row = await maybeOne(db, columns, sql, parameters);
  if (!row) throw new UnexpectedRow("A query for one row gave none.");
  return row;
}
