import type { Attention } from "../recipe";

/** Whole minutes from the moment at which all is to be ready: below 0 before it. */
export type PlanMinute = number;

/** A step of a sweet as it is put into a plan. */
export interface PlanTask {
  readonly id: string;
  readonly sweet: string;
  readonly words: string;
  /** Whole minutes, 0 or more. */
  readonly minutes: number;
  readonly attention: Attention;
  /** So many of its first minutes need hands, though it waits by itself then; 0 where none. */
  readonly handsFirst: number;
  /** Tasks that are done before it begins, by id. */
  readonly after: readonly string[];
  /** Of them, by id: ended no longer than so many minutes before it begins. What is not there can wait. */
  readonly within: Readonly<Record<string, number>>;
  readonly burner: boolean;
  readonly oven: boolean;
  /** A mixer or grinder runs: not in quiet hours. */
  readonly noisy: boolean;
  /** It is tasted in it. */
  readonly tastes: boolean;
  /** Litres of the fridge that it takes; 0 of none. */
  readonly fridge: number;
  /** The pot it is in, by id: that holds its pan from its first task to its last. Null of none. */
  readonly pot: string | null;
}

/** Something that stays in one pan from beginning to end. */
export interface PlanPot {
  readonly id: string;
  /** What the pan has to hold, ml, with room to boil. */
  readonly ml: number;
}

/** A sweet of a plan: when it is ready at the latest, and how long before that it may be done. */
export interface PlanSweet {
  readonly id: string;
  readonly name: string;
  readonly due: PlanMinute;
  /** It is done no sooner than so many minutes before; null where it keeps. */
  readonly fresh: number | null;
  /** It is best where it is done no sooner than so many minutes before; null where that is the same. It gives way before anything clashes. */
  readonly best: number | null;
}

export interface Window {
  readonly from: PlanMinute;
  readonly to: PlanMinute;
}

/** With what and when it is cooked. */
export interface PlanKitchen {
  readonly cooks: number;
  readonly burners: number;
  readonly ovens: number;
  readonly mixers: number;
  readonly pans: readonly { readonly id: string; readonly name: string; readonly ml: number }[];
  /** Litres free in the fridge; null where nobody says. */
  readonly fridge: number | null;
  /** No mixer in these hours; nobody in the house in those, so that nothing needs hands or stands on a fire; nobody tastes in these. */
  readonly quiet: readonly Window[];
  readonly away: readonly Window[];
  /** Everybody sleeps: as away, and without a mixer. */
  readonly nights: readonly Window[];
  readonly notTasting: readonly Window[];
  /** Nothing begins before: now. */
  readonly from: PlanMinute;
}

export interface PlanProblem {
  readonly sweets: readonly PlanSweet[];
  readonly tasks: readonly PlanTask[];
  readonly pots: readonly PlanPot[];
  readonly kitchen: PlanKitchen;
  /** Tasks that somebody has set to begin just then, by id. */
  readonly pinned: Readonly<Record<string, PlanMinute>>;
}

/** A task in its place; the pan that its pot is in. */
export interface PlacedTask {
  readonly id: string;
  readonly start: PlanMinute;
  readonly end: PlanMinute;
  readonly pan: string | null;
}

/** What stands in the way of a task. */
export const OBSTACLES = [
  "hands",
  "burner",
  "oven",
  "mixer",
  "pan",
  "fridge",
  "quiet hours",
  "night",
  "nobody there",
  "may not taste",
  "too early",
  "order",
  "pinned",
] as const;
export type Obstacle = (typeof OBSTACLES)[number];
