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
