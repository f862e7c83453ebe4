import equal from "fast-deep-equal";

/** `next`, in which whatever is as it was in `before` is the same object: what shows only that is not shown anew. For plain data. */
export function sameWhereEqual<T>(before: unknown, next: T): T {
  if (equal(before, next)) return before as T;
  if (!isPlain(before) || !isPlain(next) || Array.isArray(before) !== Array.isArray(next)) return next;
  if (Array.isArray(next)) return next.map((value: unknown, i) => sameWhereEqual((before as unknown as readonly unknown[])[i], value)) as unknown as T;
  return Object.fromEntries(Object.entries(next).map(([name, value]) => [name, sameWhereEqual(before[name], value)])) as T;
}

const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !(value instanceof Map) && !(value instanceof Set);
