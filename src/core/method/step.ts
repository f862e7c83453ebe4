import type { Heat } from "../process";
import type { Attention, LineId, Operation, PartId, StepId, StepMinutes } from "../recipe";
import type { HandlingKind } from "./kinds";
import type { Edit, Place } from "./sentences";

/** Something that goes in at a step: a row of the version, by its id, or a part of the recipe. */
export interface MethodTake {
  readonly of: { readonly kind: "line"; readonly id: LineId } | { readonly kind: "part"; readonly id: PartId };
  /** Above 0, at most 1: of the whole row or part. */
  readonly share: number;
}

/** Where a step comes from: the recipe, or the usual way where that tells none; a food of the version that has to be got ready, or goes in by a step of its own; how far the pot is boiled down. */
export type StepOrigin =
  | { readonly kind: "recipe"; readonly step: StepId }
  | { readonly kind: "prepares"; readonly line: LineId }
  | { readonly kind: "adds"; readonly line: LineId }
  | { readonly kind: "usual"; readonly words: string }
  | { readonly kind: "boils down"; readonly grams: number; readonly insteadOf: number };

/** What a step has to drive off in a version: minutes of open and of covered cooking, and what is in the pot then, g; null where that is not known. */
export interface StepCooking {
  readonly open: number;
  readonly covered: number;
  readonly left: number | null;
  /** The recipe's words for how far it boils down ("by a third"), where another amount stands for them. */
  readonly level?: string;
  /** Why it is other than in the recipe. */
  readonly why: string;
}

/** A sentence of the recipe in a version: as it stands, perhaps with other foods; said anew, for what is left to do; or gone. */
export type MethodSentence = Place &
  (
    | {
        readonly is: "kept";
        /** What is struck from it, by places in it. */
        readonly edits: readonly Edit[];
      }
    | { readonly is: "gone" }
    | {
        readonly is: "anew";
        readonly operation: Operation;
        /** What it is done to, in the order in which the recipe names it, and the words by which it does. */
        readonly of: readonly { readonly line: LineId; readonly words: string }[];
        /** In words: "12 minutes"; empty where none are told. */
        readonly time: string;
        readonly attention: Attention;
        readonly covered: boolean;
        readonly cue: string | null;
        readonly liftsOut: boolean;
      }
  );

/** One step of a version's method. Its text is made from it, by `words`. */
export interface MethodStep {
  /** The recipe's own where it comes from there. */
  readonly id: StepId;
  /** The part that it makes; null for the sweet itself. */
  readonly part: PartId | null;
  /** All that is done in it, the main thing first. */
  readonly operations: readonly Operation[];
  readonly operation: Operation;
  readonly takes: readonly MethodTake[];
  /** Of wet heat; null where there is none. */
  readonly heat: Heat | null;
  readonly covered: boolean;
  readonly minutes: StepMinutes;
  /** Whether the minutes are told or set; otherwise they are usual for the operation. */
  readonly timed: boolean;
  readonly attention: Attention;
  /** What to look, listen, smell or feel for. */
  readonly cue: string | null;
  readonly tools: readonly string[];
  readonly origin: StepOrigin;
  /** Of a recipe's step: its sentences, one after the other. */
  readonly sentences?: readonly MethodSentence[];
  /** Set where minutes or lid are other than the recipe's, so that as much is driven off as should be. */
  readonly cooking?: StepCooking;
  /** By how much its minutes are other than told, as the house's own batches took, by ln; absent where they are as told. */
  readonly learned?: number;
  /** In how many lots it is done, one after the other; absent where in one. Its minutes are of all of them. */
  readonly lots?: number;
  /** Why it is not as in the recipe; empty where it is. */
  readonly reasons: readonly string[];
}

/** How a version is made: its steps in order, and the recipe's steps that fall away. */
export interface Method {
  readonly steps: readonly MethodStep[];
  readonly needless: readonly { readonly step: StepId; readonly why: string }[];
  /** Lines for which a food of another kind stands, that no sentence of the recipe fits. */
  readonly outOfPlace: readonly LineId[];
  /** Whether some pot of it simmers, before foods that bring steps of their own. */
  readonly simmers: boolean;
  /** Rows whose food nobody has said how to handle: where they go in is a guess. */
  readonly asked: readonly LineId[];
}

/** When something goes in that brings a step of its own: with the other liquid, once the pot simmers, or when it has come off the fire. */
export type GoesIn = "with the liquid" | "once it simmers" | "with the sweetener" | "off the heat";

/**
 * A step that a food brings with it: a rule of practice. `{grams}` and `{grams*0.27}` in its words stand for amounts, `{food}` for
 * the food with its own, `{minutes}` for what it needs to be done.
 */
export interface HandlingStep {
  readonly operations: readonly [Operation, ...Operation[]];
  readonly minutes: StepMinutes;
  readonly attention: Attention;
  readonly heat?: Heat;
  readonly cue?: string;
  readonly tools?: readonly string[];
  /** Where it is a step of its own; before the sweetener unless told. */
  readonly goesIn?: GoesIn;
  readonly words: string;
}

/** How a food is got ready beforehand, and how it goes in where no sentence of the recipe fits it. */
export interface Handling {
  readonly prepare?: HandlingStep;
  readonly add?: HandlingStep;
}

/** Handling by food, by its id, and of all others by their kind. */
export interface HandlingTables {
  readonly foods: ReadonlyMap<string, Handling>;
  readonly kinds: Readonly<Record<HandlingKind, HandlingStep>>;
  /** Of what goes into a simmering pot, where nothing simmers. */
  readonly withoutPot: Readonly<Partial<Record<HandlingKind, HandlingStep>>>;
  /** What is wanted for an operation, and what does it where that is not there: a rule of practice. */
  readonly tools: Readonly<Partial<Record<Operation, Tool>>>;
}

export interface Tool {
  readonly name: string;
  readonly instead: string;
}
