import type { Food } from "../food";

/** A time as a step tells it. */
export const TIME =
  /\bfor (?:about |another |a further )?(?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|an?|half an|[a-z]{3,7}) (?:hours?|minutes?|mins?)(?: more| longer)?\b|\b\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})? ?(?:hours?|minutes?|mins?)(?: more| longer)?\b/i;

/** After the name of a fat or a flour: a vessel that is greased or dusted with it. */
const GREASES =
  /^ (?:and (?:line|flour|dust) )?(?:the|a|an|your|each|\d{1,2}|some) (?:[a-z0-9-]+ ){0,3}(?:dish(?:es)?|tins?|trays?|moulds?|bowls?|ramekins?|pans?|plates?|thalis?|paper|cups?)\b/i;
export const SENTENCE_BEGINS = /^$|[.!?] $/;

/** "Butter the dish": the words of the vessel behind a name at this place; null where the name is of something that goes in. */
export function greasesAt(text: string, at: number, name: string): string | null {
  if (!SENTENCE_BEGINS.test(text.slice(Math.max(0, at - 2), at))) return null;
  return GREASES.exec(text.slice(at + name.length))?.[0] ?? null;
}

/** What a food is done in, where it is that. */
export const natureOf = (food: Food | null): { readonly isFat: boolean; readonly isLiquid: boolean } => ({
  isFat: food?.family === "fat",
  isLiquid: food !== null && food.pours && ["dairy", "drink", "water"].includes(food.family),
});
