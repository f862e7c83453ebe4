import type { Heat } from "../process";
import type { CookEvent, FruitSweetness, Holds, ServedAs, StoveSetUp } from "./event";
import type { PotWeight } from "./forecast";
import type { CookPlan, PlannedStep } from "./plan";
import type { StockPlace } from "../stock";

/** "going": begun, and going on beside the one that is on. */
export type StepState = "to come" | "now" | "going" | "done" | "skipped";

/** A step of the session: the plan's, or one that was added at the stove. */
export interface CookStep {
  readonly id: string;
  readonly text: string;
  /** Null for one that was added. */
  readonly planned: PlannedStep | null;
  readonly state: StepState;
  /** When it was begun last, ms; null where it was not. */
  readonly began: number | null;
  /** How long it took, minutes, all goes together; null where it is not done. */
  readonly took: number | null;
  /** How many of its lots are done. */
  readonly lotsDone: number;
  /** In whose hands it goes on; null: by itself, or in those of who cooks. */
  readonly who: string | null;
}

/** A timer that runs by the clock: what is left of it is told from the time, not by counting. */
export interface CookTimer {
  readonly id: string;
  readonly step: string | null;
  readonly label: string;
  readonly startedAt: number;
  readonly seconds: number;
}

interface PutIn {
  readonly event: string;
  readonly at: number;
  /** A line of the plan; null for another food, by its id where the tables know it. */
  readonly line: string | null;
  readonly food: string | null;
  readonly name: string;
  readonly grams: number;
  readonly word: string;
}

/** A batch on the stove: what its events say, one after the other. */
export interface CookSession {
  readonly plan: CookPlan;
  readonly events: readonly CookEvent[];
  readonly steps: readonly CookStep[];
  /** The step that is on; null where all are done. */
  readonly now: string | null;
  readonly ready: ReadonlySet<string>;
  readonly timers: readonly CookTimer[];
  readonly putIn: readonly PutIn[];
  /** In what and on what it is cooked; null where nobody said. */
  readonly setUp: StoveSetUp | null;
  /** The flame as it was set by hand; null: as the step has it. */
  readonly heat: Heat | null;
  /** What of a line was held back at first, g, and whether no more of it goes in. */
  readonly held: ReadonlyMap<string, { readonly grams: number; readonly isClosed: boolean }>;
  /** Lines that are meant in another amount than by plan, g. */
  readonly amounts: ReadonlyMap<string, number>;
  readonly fruits: ReadonlyMap<string, FruitSweetness>;
  /** To what the pot is cooked down by hand, g; null: as it is worked out. */
  readonly stopAt: number | null;
  /** What the pot weighed without the pan, g, in the order in which it was weighed, each with its spread. */
  readonly weighings: readonly PotWeight[];
  /** How warm it was, °C, and where it stood, where that was said; in the order in which it was measured. */
  readonly temperatures: readonly { readonly at: number; readonly celsius: number; readonly place: string | null }[];
  readonly setAside: readonly ({ readonly event: string; readonly name: string; readonly grams: number | null } & ServedAs)[];
  /** How it turned out, said last of each. */
  readonly turnedOut: ReadonlyMap<"hot" | "chilled", { readonly body: number | null; readonly off: string; readonly holds: Holds | null }>;
  /** When something last went in, or the flame or step last changed, ms. */
  readonly changedAt: number;
  /** How many weights there were by then: they tell nothing of how fast it boils away now. By their order, as two devices' clocks differ. */
  readonly weighedBefore: number;
  /** What the pan weighed last, g; 0 where nobody said. */
  readonly pan: number;
  readonly notes: readonly { readonly event: string; readonly at: number; readonly text: string; readonly step: string | null }[];
  readonly startedAt: number | null;
  readonly endedAt: number | null;
  /** What came of it, g; null where it was not weighed, or is not done. */
  readonly got: number | null;
  /** Whether what went in is taken off the household's stock. */
  readonly isStockTaken: boolean;
  readonly leftOver: readonly {
    readonly event: string;
    readonly at: number;
    readonly grams: number;
    readonly place: StockPlace;
    readonly useBy: string | null;
    /** What its making left over, by name; absent where it is the sweet itself. */
    readonly what?: string;
  }[];
}

/** What has to be done outside: decided here, executed elsewhere. */
export type CookAction =
  | { readonly kind: "ring at"; readonly timer: string; readonly at: number; readonly words: string }
  | { readonly kind: "do not ring"; readonly timer: string }
  | { readonly kind: "say"; readonly words: string };

export const newSession = (plan: CookPlan): CookSession => ({
  plan,
  events: [],
  steps: plan.steps.map((step) => ({ id: step.id, text: step.text, planned: step, state: "to come", began: null, took: null, lotsDone: 0, who: null })),
  now: null,
  ready: new Set(),
  timers: [],
  putIn: [],
  setUp: null,
  heat: null,
  held: new Map(),
  amounts: new Map(),
  fruits: new Map(),
  stopAt: null,
  weighings: [],
  temperatures: [],
  setAside: [],
  turnedOut: new Map(),
  changedAt: 0,
  weighedBefore: 0,
  pan: 0,
  notes: [],
  startedAt: null,
  endedAt: null,
  got: null,
  isStockTaken: true,
  leftOver: [],
});

/** The weights since something last went in, or the flame or step last changed. */
export const weightsNow = ({ weighings, weighedBefore }: Pick<CookSession, "weighings" | "weighedBefore">): readonly PotWeight[] =>
  weighings.slice(weighedBefore);
