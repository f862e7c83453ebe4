/** Something that is in the house, with how much of it there is left. */
export interface StockItem {
  readonly id: string;
  /** The food of the tables that it is; null where it is none: a sweet that was left over, or what they do not know. */
  readonly foodId: string | null;
  readonly name: string;
  readonly kind: StockKind;
  readonly place: StockPlace;
  /** The day on which it was bought or made, "2026-11-25"; the last on which it is good, null where nobody said. */
  readonly gotOn: string;
  readonly useBy: string | null;
  readonly note: string;
}
export const STOCK_KINDS = ["bought", "made here", "left over"] as const;
export type StockKind = (typeof STOCK_KINDS)[number];
export const STOCK_PLACES = ["cupboard", "fridge", "freezer"] as const;
export type StockPlace = (typeof STOCK_PLACES)[number];
export const PLACE_WORDS: Readonly<Record<StockPlace, string>> = { cupboard: "in the cupboard", fridge: "in the fridge", freezer: "in the freezer" };

/** Why there is more or less of it: what somebody says; what a batch takes; and what was found when it was weighed. */
export const SAID_REASONS = ["eaten", "given away", "thrown away", "used"] as const;
export const MOVE_REASONS = ["put in", ...SAID_REASONS, "cooked", "weighed"] as const;
export type MoveReason = (typeof MOVE_REASONS)[number];

/** More (above 0) or less (below 0) of one thing, g. Moves are only added; one that was a mistake is taken out again. */
export interface StockMove {
  readonly id: string;
  readonly item: string;
  readonly grams: number;
  readonly why: MoveReason;
  /** ISO moment. */
  readonly at: string;
}

export interface InStock extends StockItem {
  /** What is left of it, g. */
  readonly grams: number;
}

/** What an item may hold. */
export const STOCK_LIMITS = { grams: 100_000, name: 120, note: 500, items: 2000 } as const;

/** Less than this is nothing, g. */
export const NOTHING_LEFT = 0.05;
