/** What happened at the stove. Events are only ever added: what is taken back is taken back by another. */
export type CookHappening =
  | { readonly kind: "started" }
  /** Something is got ready, or not after all. */
  | { readonly kind: "ready"; readonly food: string; readonly isReady: boolean }
  | { readonly kind: "done"; readonly step: string }
  | { readonly kind: "skipped"; readonly step: string }
  /** Gone to a step out of turn, or done again. */
  | { readonly kind: "went to"; readonly step: string }
  | { readonly kind: "step added"; readonly step: string; readonly text: string; readonly after: string | null }
  | { readonly kind: "note"; readonly text: string; readonly step: string | null }
  | { readonly kind: "timer started"; readonly timer: string; readonly step: string | null; readonly label: string; readonly seconds: number }
  | { readonly kind: "timer longer"; readonly timer: string; readonly seconds: number }
  | { readonly kind: "timer stopped"; readonly timer: string }
  /** Something went in: of a food of the plan, or another. */
  | { readonly kind: "put in"; readonly food: string; readonly name: string; readonly grams: number; readonly word: string }
  /** The pot on the scale, g, with the pan on it weighing `pan` (0 where it was taken off the reading). */
  | { readonly kind: "weighed"; readonly grams: number; readonly pan: number }
  | { readonly kind: "ended"; readonly grams: number | null }
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
  "step added": true,
  note: true,
  "timer started": true,
  "timer longer": true,
  "timer stopped": true,
  "put in": true,
  weighed: true,
  ended: true,
  "taken up again": true,
  "taken back": true,
};
/** What can still be told of a batch that is done. */
export const AFTER_THE_END: readonly CookEvent["kind"][] = ["note", "taken up again", "taken back"];

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
  /** Events of a batch. */
  events: 10_000,
  /** Timers that run at once, steps that are added. */
  timers: 20,
  steps: 40,
} as const;
