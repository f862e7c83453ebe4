import { isDeepStrictEqual } from "node:util";
import { Refusal } from "./problems";

/** Something that is edited, and the revision it stands at; 0 where it was never saved. */
export interface Revised<T> {
  readonly document: T;
  readonly revision: number;
}

/**
 * Saves over the revision that was read. Where another save came between, the two are compared: the same document is no
 * conflict; another one is refused with 409, and comes with the refusal so that nobody has to guess what was there.
 */
export async function saveRevised<T>(
  sent: Revised<T>,
  what: string,
  save: (sent: Revised<T>) => Promise<number | null>,
  current: () => Promise<Revised<T>>,
): Promise<number> {
  const saved = await save(sent);
  if (saved !== null) return saved;
  const there = await current();
  if (isDeepStrictEqual(there.document, sent.document)) return there.revision;
  throw new Refusal(409, `This ${what} was changed in another window since it was opened here. Nothing was overwritten.`, [], {
    extra: { current: there },
  });
}
