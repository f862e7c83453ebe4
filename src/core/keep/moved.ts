import { addDays, dayWords } from "../calendar";
import { PLACE_WORDS, type StockPlace } from "../stock";
import { keepingProblem, lastDay } from "./last-day";
import type { Storage } from "./storage";

/** Something put by that is to be kept elsewhere. */
export interface Moved {
  readonly from: StockPlace;
  readonly to: StockPlace;
  /** The day it was made, and its last where it is; null where nobody said. */
  readonly madeOn: string;
  readonly useBy: string | null;
}

/**
 * The last day of something put by that is moved today: into the frost only while it is good; out of it as many days as what was thawed keeps;
 * else no longer than both places allow. Why it cannot be, in words.
 */
export function movedUntil(
  storage: Pick<Storage, "times" | "thaw" | "unknown" | "thawed">,
  { from, to, madeOn, useBy }: Moved,
  today: string,
): { readonly ok: true; readonly value: string } | { readonly ok: false; readonly why: string } {
  if (useBy !== null && useBy < today) return { ok: false, why: `It was good until ${dayWords(useBy)}: it is not put by again.` };
  const last = lastDay(storage, to, madeOn);
  if (from === "freezer") {
    const thawed = addDays(today, storage.thawed);
    if (to === "cupboard" && last === null) return { ok: false, why: keepingProblem(storage, to, madeOn, null) ?? "It is thawed in the fridge." };
    return { ok: true, value: earlier(thawed, useBy) };
  }
  if (last === null) return { ok: false, why: keepingProblem(storage, to, madeOn, null) ?? `It is not kept ${PLACE_WORDS[to]}.` };
  if (to === "freezer") return last < today ? { ok: false, why: `Frozen it was good until ${dayWords(last)}.` } : { ok: true, value: last };
  const until = earlier(last, useBy);
  return until < today ? { ok: false, why: `${PLACE_WORDS[to]} it was good until ${dayWords(until)}.` } : { ok: true, value: until };
}

const earlier = (day: string, other: string | null): string => (other !== null && other < day ? other : day);
