import { daysBetween } from "../calendar";
import { NOTHING_LEFT, type InStock, type StockItem } from "./item";

/** "past": after its last day. "soon": within two days of it. */
export type Due = "past" | "soon" | "later" | "not known";
const SOON = 2;
export function dueOf({ useBy }: Pick<StockItem, "useBy">, today: string): Due {
  if (useBy === null) return "not known";
  const left = daysBetween(today, useBy);
  return left < 0 ? "past" : left <= SOON ? "soon" : "later";
}

/** By when it is to be used, in words, as days are counted: "today is its last day", "3 days left", "2 days past its date". */
export function dueWords({ useBy }: Pick<StockItem, "useBy">, today: string): string {
  if (useBy === null) return "no date";
  const left = daysBetween(today, useBy);
  const days = (of: number) => (of === 1 ? "1 day" : `${of} days`);
  return left < 0 ? `${days(-left)} past its date` : left === 0 ? "today is its last day" : `${days(left)} left`;
}

/** Stock in the order in which it is to be used: by its last day, then by the day it came; what has no date behind what has one. */
export const inOrderOfUse = <Item extends StockItem>(items: readonly Item[]): readonly Item[] =>
  [...items].sort((a, b) => compared([a.useBy ?? "9999", a.gotOn, a.name, a.id], [b.useBy ?? "9999", b.gotOn, b.name, b.id]));
function compared(a: readonly string[], b: readonly string[]): number {
  const at = a.findIndex((each, i) => each !== b[i]);
  return at < 0 ? 0 : (a[at] ?? "") < (b[at] ?? "") ? -1 : 1;
}

/** So much of a food, g. */
export interface Needed {
  readonly food: string;
  readonly name: string;
  readonly grams: number;
}
/** What is taken of what is there, g above 0; and what was not there. */
export interface Takings {
  readonly taken: readonly { readonly item: string; readonly grams: number }[];
  readonly missing: readonly Needed[];
}

/** How much of what is in the house something would use, the rest it needs, and whether that is what is to be used first. */
export interface MadeFrom {
  /** Things in stock that it takes of, those to be used first before others; share is of what there is of it. */
  readonly uses: readonly { readonly item: InStock; readonly grams: number; readonly share: number }[];
  readonly missing: readonly Needed[];
  /** What ranks it: due things that it uses up, each by its share. */
  readonly usedUp: number;
}

/** What something would take of the stock; nothing that is past its last day. */
export function madeFrom(needs: readonly Needed[], stock: readonly InStock[], today: string): MadeFrom {
  const good = stock.filter((item) => dueOf(item, today) !== "past");
  const { taken, missing } = takeOut(needs, good, today);
  const uses = inOrderOfUse(good).flatMap((item) => {
    const grams = taken.find((each) => each.item === item.id)?.grams ?? 0;
    return grams >= NOTHING_LEFT ? [{ item, grams, share: grams / item.grams }] : [];
  });
  return { uses, missing, usedUp: uses.reduce((sum, { item, share }) => sum + (dueOf(item, today) === "soon" ? share : 0), 0) };
}

/**
 * The order in which what can be made is told: what uses up most that is due, then what lacks least, then what uses most.
 * @unit none
 * @range below 0 where the first comes first
 * @source what is to be used first
 */
export function byUse(one: MadeFrom, other: MadeFrom): number {
  return other.usedUp - one.usedUp || one.missing.length - other.missing.length || other.uses.length - one.uses.length;
}

/**
 * Takes foods out of what is in stock, never more of anything than there is: of several that are one food what is to be used first, and
 * what is past its date only when nothing else is left. Foods are the same where their ids are; others are not guessed.
 */
export function takeOut(needs: readonly Needed[], stock: readonly InStock[], today: string): Takings {
  const left = new Map(stock.map(({ id, grams }) => [id, grams] as const));
  const isPast = (item: StockItem) => dueOf(item, today) === "past";
  const order = [...inOrderOfUse(stock.filter((item) => !isPast(item))), ...inOrderOfUse(stock.filter(isPast))];
  const taken = new Map<string, number>();
  const missing: Needed[] = [];
  for (const need of needs) {
    let wanted = need.grams;
    for (const { id, foodId } of order) {
      const there = left.get(id) ?? 0;
      if (foodId !== need.food || there < NOTHING_LEFT || wanted < NOTHING_LEFT) continue;
      const grams = Math.min(there, wanted);
      left.set(id, there - grams);
      taken.set(id, (taken.get(id) ?? 0) + grams);
      wanted -= grams;
    }
    if (wanted >= NOTHING_LEFT) missing.push({ ...need, grams: wanted });
  }
  return { taken: [...taken].map(([item, grams]) => ({ item, grams })), missing };
}
