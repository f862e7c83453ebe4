import type { ServingTemperature } from "../food";
import type { Burner } from "../household";
import type { Heat } from "../process";
import type { StockPlace } from "../stock";

/** In what it is cooked and on what: what the pan weighs empty, g, and how wide it is, cm. */
export interface StoveSetUp {
  readonly pan: { readonly name: string; readonly diameter: number; readonly grams: number | null } | null;
  readonly burner: Pick<Burner, "name" | "kind" | "power"> | null;
  /** Whether who cooks may taste: an offering, a fast or an allergy forbids it. */
  readonly tasting: boolean;
}

export const HOLDS = ["crumbles", "binds", "rich, but holds", "greasy"] as const;
/** How a shaped sweet holds. */
export type Holds = (typeof HOLDS)[number];

export const FRUIT_SWEETNESSES = ["bland", "usual", "sweet"] as const;
/** How sweet a fruit is of itself: by the tongue, or °Brix by a refractometer. */
export type FruitSweetness =
  { readonly by: "tongue"; readonly is: (typeof FRUIT_SWEETNESSES)[number] } | { readonly by: "refractometer"; readonly brix: number };

/** When and how a portion is served. */
export interface ServedAs {
  readonly day?: string;
  readonly serve?: ServingTemperature;
  /** g of sugar, as such or in syrup. */
  readonly sugar?: number;
}

/** What happened at the stove. Events are only ever added: what is taken back is taken back by another. */
export type CookHappening =
  | { readonly kind: "started" }
  /** Something is got ready, or not after all. */
  | { readonly kind: "ready"; readonly food: string; readonly isReady: boolean }
  | { readonly kind: "done"; readonly step: string }
  | { readonly kind: "skipped"; readonly step: string }
  /** Gone to a step out of turn, or done again. */
  | { readonly kind: "went to"; readonly step: string }
  /** One of the lots that a step is done in. */
  | { readonly kind: "lot done"; readonly step: string }
  /** A step goes on beside the next: by itself (null), or in somebody's hands. */
  | { readonly kind: "goes on"; readonly step: string; readonly who: string | null }
  | { readonly kind: "step added"; readonly step: string; readonly text: string; readonly after: string | null }
  | { readonly kind: "note"; readonly text: string; readonly step: string | null }
  | { readonly kind: "timer started"; readonly timer: string; readonly step: string | null; readonly label: string; readonly seconds: number }
  | { readonly kind: "timer longer"; readonly timer: string; readonly seconds: number }
  | { readonly kind: "timer stopped"; readonly timer: string }
  /** Something went in beyond what the steps put in: more of a line of the plan, or another food (null where the tables do not know it). */
  | {
      readonly kind: "put in";
      readonly line: string | null;
      readonly food: string | null;
      readonly name: string;
      readonly grams: number;
      readonly word: string;
    }
  | { readonly kind: "set up"; readonly setUp: StoveSetUp }
  /** The flame under the pot. */
  | { readonly kind: "heat"; readonly heat: Heat }
  /** So much of a line waits, to go in bit by bit. */
  | { readonly kind: "held back"; readonly line: string; readonly grams: number }
  /** No more of a line that was held back goes in. */
  | { readonly kind: "enough"; readonly line: string }
  /** Another amount of a line is meant than in the plan. */
  | { readonly kind: "amount set"; readonly line: string; readonly grams: number }
  | { readonly kind: "fruit tasted"; readonly line: string; readonly sweetness: FruitSweetness }
  /** To what the pot is cooked down, g without the pan; null: as it is worked out. */
  | { readonly kind: "stop at"; readonly grams: number | null }
  /** The pot on the scale, g, with the pan on it weighing `pan` (0 where it was taken off the reading). */
  | { readonly kind: "weighed"; readonly grams: number; readonly pan: number }
  /** How deep it stands in a round pan, cm, and what that comes to, g, with its spread. */
  | { readonly kind: "depth"; readonly centimetres: number; readonly diameter: number; readonly grams: number; readonly sd: number }
  /** How warm it is, °C: by a probe, or as somebody says; where it cools, where that is said. */
  | { readonly kind: "temperature"; readonly celsius: number; readonly place?: string }
  /** A portion for somebody, g; null where it was not weighed; the day and heat at which it is served, and g of sugar that go with it, where that is said. */
  | ({ readonly kind: "set aside"; readonly name: string; readonly grams: number | null } & ServedAs)
  /** How it turned out, hot or chilled: its body by the house's words, 0 to 10, how what is shaped holds, and what was off. */
  | { readonly kind: "turned out"; readonly when: "hot" | "chilled"; readonly body: number | null; readonly off: string; readonly holds?: Holds | null }
  | { readonly kind: "ended"; readonly grams: number | null }
  /** Whether what went in is taken off the household's stock; it is, unless somebody says otherwise. */
  | { readonly kind: "stock"; readonly isTaken: boolean }
  /** So much of it was not eaten, g, and is kept there, to the last day named ("2026-11-25"); null where nobody said one. `what` names what its making left over instead. */
  | { readonly kind: "left over"; readonly grams: number; readonly place: StockPlace; readonly useBy: string | null; readonly what?: string }
  | { readonly kind: "taken up again" }
  | { readonly kind: "taken back"; readonly event: string };

/** One event of a batch. */
export type CookEvent = CookHappening & {
  /** Made where it happened, so that what is sent twice is one. */
  readonly id: string;
  /** By the clock of where it happened, ms. */
  readonly at: number;
};

/** Their kinds; the compiler names one that is missing. */
const KINDS: Readonly<Record<CookHappening["kind"], true>> = {
  started: true,
  ready: true,
  done: true,
  skipped: true,
  "went to": true,
  "lot done": true,
  "goes on": true,
  "step added": true,
  note: true,
  "timer started": true,
  "timer longer": true,
  "timer stopped": true,
  "put in": true,
  "set up": true,
  heat: true,
  "held back": true,
  enough: true,
  "amount set": true,
  "fruit tasted": true,
  "stop at": true,
  weighed: true,
  depth: true,
  temperature: true,
  "set aside": true,
  "turned out": true,
  ended: true,
  stock: true,
  "left over": true,
  "taken up again": true,
  "taken back": true,
};
/** What can still be told of a batch that is done. */
export const AFTER_THE_END: readonly CookEvent["kind"][] = [
  "note",
  "temperature",
  "set aside",
  "stock",
  "left over",
  "turned out",
  "taken up again",
  "taken back",
];

/** Whether something that was kept elsewhere is an event of a kind that is known; what it says is judged where it is taken in. */
export const isCookEvent = (value: unknown): value is CookEvent => {
  if (typeof value !== "object" || value === null) return false;
  const { id, at, kind } = value as Readonly<Record<string, unknown>>;
  return typeof id === "string" && typeof at === "number" && typeof kind === "string" && Object.hasOwn(KINDS, kind);
};

/** What an event may hold. */
export const COOK_LIMITS = {
  /** Characters of a note, an added step, a name. */
  text: 1000,
  name: 120,
  /** Seconds of a timer, at least and at most. */
  timer: { least: 1, most: 24 * 3600 },
  /** g, of anything that is weighed. */
  grams: 50_000,
  /** °C of what is cooked at home. */
  celsius: { least: -30, most: 220 },
  /** cm of a pan across, and of what stands in it. */
  centimetres: 60,
  /** °Brix: what is soluble in a fruit, %. */
  brix: { least: 0.5, most: 85 },
  /** Events of a batch. */
  events: 10_000,
  /** Timers that run at once, steps that are added. */
  timers: 20,
  steps: 40,
} as const;
