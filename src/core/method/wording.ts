import type { Food } from "../food";

/** A time as a step tells it. */
export const TIME =
  /\bfor (?:about |another |a further )?(?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|an?|half an|[a-z]{3,7}) (?:hours?|minutes?|mins?)(?: more| longer)?\b|\b\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})? ?(?:hours?|minutes?|mins?)(?: more| longer)?\b/i;

/** After the name of a fat or a flour: a vessel that is greased or dusted with it. */
const GREASES =
  /^ (?:and (?:line|flour|dust) )?(?:the|a|an|your|each|\d{1,2}|some) (?:[a-z0-9-]+ ){0,3}(?:dish(?:es)?|tins?|trays?|moulds?|bowls?|ramekins?|pans?|plates?|thalis?|paper|cups?)\b/i;
export const SENTENCE_BEGINS = /^$|[.!?] $/;

/** Foods whose names are also what is done with them. */
const DONE_WITH = /^(?:butter|oil|flour|sugar|salt|cream)$/i;
const OBJECT = /^ (?:the|each|both|your|all the) [a-z]{2,20}(?: [a-z]{2,20})?(?=,|\.|;| and | with | on )/i;

/** "Butter the dish", "butter the bread": what is greased or spread, in the words behind a name at this place; null where the name is of something that goes in. */
export function greasesAt(text: string, at: number, name: string): { readonly words: string; readonly isVessel: boolean } | null {
  if (!SENTENCE_BEGINS.test(text.slice(Math.max(0, at - 2), at))) return null;
  const after = text.slice(at + name.length);
  const vessel = GREASES.exec(after)?.[0];
  if (vessel !== undefined) return { words: vessel, isVessel: true };
  const object = DONE_WITH.test(name) ? OBJECT.exec(after)?.[0] : undefined;
  return object === undefined ? null : { words: object, isVessel: false };
}

/** What a food is done in, where it is that. */
export const natureOf = (food: Food | null): { readonly isFat: boolean; readonly isLiquid: boolean } => ({
  isFat: food?.family === "fat",
  isLiquid: food !== null && food.pours && ["dairy", "drink", "water"].includes(food.family),
});
