import type { Cue } from "../cues";
import type { ServingTemperature } from "../food";
import type { Attention, StepMinutes } from "../recipe";

/** A step as it was when cooking began. */
export interface PlannedStep {
  readonly id: string;
  readonly text: string;
  /** The part that it makes, by name; null for the sweet itself. */
  readonly part: string | null;
  readonly minutes: StepMinutes;
  readonly attention: Attention;
  /** What the recipe says to look for. */
  readonly cue: string | null;
  readonly cues: readonly Cue[];
  readonly hazards: readonly { readonly what: string; readonly mend: string }[];
  readonly atOnce: string | null;
  /** Begun hours before the others. */
  readonly isBefore: boolean;
}

/** Something to get ready. */
export interface PlannedFood {
  readonly id: string;
  readonly name: string;
  readonly grams: number;
  readonly measure: string;
}

/** What is cooked, as it was when it began: a kept version, or the recipe as handed down. Nothing of it changes on the stove. */
export interface CookPlan {
  readonly title: string;
  /** The version's name; null for the recipe as handed down. */
  readonly label: string | null;
  readonly servings: number;
  /** What it is meant to weigh when done, g. */
  readonly grams: number;
  readonly serve: ServingTemperature;
  /** For whom it is not, and what of its lines is not read: said on the stove too. */
  readonly notFor: readonly string[];
  readonly unread: number;
  readonly steps: readonly PlannedStep[];
  readonly ready: readonly PlannedFood[];
  readonly tools: readonly string[];
}
