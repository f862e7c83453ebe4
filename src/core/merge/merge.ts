import equal from "fast-deep-equal";

/** A document that is nothing but named lists. */
export type Lists = Readonly<Record<string, readonly unknown[]>>;
/** For each list what a thing in it is known by; no two of a list have the same. */
export type RowKeys = Readonly<Record<string, (row: never) => string>>;

/** The things of a document, list by list, each with what it is known by. */
export const keyed = (keys: RowKeys, document: object): Record<string, { readonly id: string; readonly document: unknown }[]> =>
  Object.fromEntries(
    Object.entries(keys).map(([list, keyOf]) => [list, ((document as Lists)[list] ?? []).map((row) => ({ id: keyOf(row as never), document: row }))]),
  );

/**
 * Brings together what two have made of one document of lists: each thing that only one of them changed, added or took out
 * is as that one left it. Where both changed the same thing, and not to the same: null, or, with `"mine"`, as mine.
 */
export function merged<Document extends object>(
  keys: RowKeys,
  base: Document,
  mine: Document,
  theirs: Document,
  both: "ask" | "mine" = "ask",
): Document | null {
  const result: Record<string, readonly unknown[]> = {};
  for (const [list, keyOf] of Object.entries(keys)) {
    const rows = (document: object) => ((document as Lists)[list] ?? []).map((row) => [keyOf(row as never), row] as const);
    const together = mergedRows(rows(base), rows(mine), rows(theirs), both);
    if (together === null) return null;
    result[list] = together;
  }
  return result as Document;
}

type Row = readonly [key: string, row: unknown];

function mergedRows(base: readonly Row[], mine: readonly Row[], theirs: readonly Row[], both: "ask" | "mine"): readonly unknown[] | null {
  const [before, here, there] = [new Map(base), new Map(mine), new Map(theirs)];
  const kept = new Map<string, unknown>();
  for (const key of new Set([...before.keys(), ...here.keys(), ...there.keys()])) {
    const [was, own, other] = [before.get(key), here.get(key), there.get(key)];
    const [changedHere, changedThere] = [!equal(was, own), !equal(was, other)];
    if (changedHere && changedThere && !equal(own, other) && both === "ask") return null;
    const row = changedHere ? own : other;
    if (row !== undefined) kept.set(key, row);
  }
  // In my order where I changed it, else in theirs; what the other one added comes last.
  const order = (rows: readonly Row[]) => rows.flatMap(([key]) => (kept.has(key) ? [key] : []));
  const common = (rows: readonly Row[]) => rows.flatMap(([key]) => (before.has(key) && here.has(key) && there.has(key) ? [key] : []));
  const [first, second] = equal(common(base), common(mine)) ? [theirs, mine] : [mine, theirs];
  return [...new Set([...order(first), ...order(second)])].map((key) => kept.get(key));
}
