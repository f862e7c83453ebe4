import type { EvaluationInput, Figures } from "../evaluate";
import type { Food } from "../food";
import type { Archetype } from "../recipe";
import type { Fault } from "./faults";

/** A food that mends, as a table of rules of practice has it. */
export interface Mender {
  readonly foodId: string;
  readonly mends: readonly Fault[];
  /** % of what is in the pot: more of it makes another sweet. */
  readonly most: number;
  /** g that go in with a gram of it. */
  readonly water: number;
  readonly minutes: number;
  /** How it goes in; `{grams}` stands for the amount. */
  readonly words: string;
  /** Kinds of sweet that it mends; null: all. */
  readonly kinds: readonly Archetype[] | null;
}

/** An amount with its bounds: from where the fault is no longer noticed to as far beyond. */
export interface Amount {
  readonly grams: number;
  readonly low: number;
  readonly high: number;
}
export interface Addition extends Amount {
  readonly food: Food;
}

/** One way out, with what it comes to. */
export interface WayOut {
  /** A mend is computed; a deed is a rule of practice; another sweet and the bin come where nothing mends. */
  readonly kind: "mend" | "deed" | "turn into" | "throw away";
  readonly words: string;
  readonly adds: readonly Addition[];
  /** What does the same in the same amount, by name. */
  readonly or: readonly string[];
  /** Water that is boiled off besides. */
  readonly boilOff: Amount | null;
  readonly minutes: number;
  /** The pot after it. */
  readonly after: { readonly input: EvaluationInput; readonly figures: Figures };
  /** What it brings that the pot did not hold. */
  readonly allergens: readonly string[];
  /** Limits of the table that the pot passes after it, in words. */
  readonly over: readonly string[];
  /** Of what is in the pot, the share that goes in or off; ways are offered by it. */
  readonly change: number;
}

/** A mender that this table does not have, and why. */
export interface Gone {
  readonly food: Food;
  readonly why: string;
}
