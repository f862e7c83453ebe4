import type { Heat } from "../process";

/** What is done in a step; each has its effect on the mass balance. */
export const OPERATIONS = [
  "mix",
  "soak",
  "wash",
  "peel",
  "grind",
  "press",
  "roast",
  "fry",
  "simmer",
  "reduce",
  "pressure",
  "steam",
  "bake",
  "caramelise",
  "dissolve",
  "temper",
  "slake",
  "infuse",
  "chill",
  "rest",
  "shape",
  "transfer",
  "serve apart",
] as const;
export type Operation = (typeof OPERATIONS)[number];

/** How much of the cook a step takes. */
export const ATTENTIONS = ["hands on", "now and then", "unattended"] as const;
export type Attention = (typeof ATTENTIONS)[number];

export const HEATS = ["steaming", "simmer", "brisk", "rolling"] as const satisfies readonly Heat[];

/** Minutes that a step takes: at the least, as usual, at the most. */
export interface StepMinutes {
  readonly shortest: number;
  readonly usual: number;
  readonly longest: number;
}

/** Something that goes in at a step: a line or a component, by id, and how much of it. */
export interface StepTake {
  readonly of: string;
  /** Above 0, at most 1. */
  readonly share: number;
}

/** What the maker has settled by hand about a step; what is absent is read from the text. */
export interface StepChoice {
  readonly operation?: Operation;
  readonly heat?: Heat;
  readonly covered?: boolean;
  readonly minutes?: StepMinutes;
  readonly attention?: Attention;
  readonly takes?: readonly StepTake[];
  /** The pot after this step, weighed without the pan, g: goes before all that is reckoned. */
  readonly weighed?: number;
}
