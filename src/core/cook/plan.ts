import type { Cue } from "../cues";
import type { Role, ServingTemperature } from "../food";
import type { Heat } from "../process";
import type { Attention, Operation, StepMinutes } from "../recipe";

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
  /** What goes in at it, and all that is in its pot by then: lines, each with its share. */
  readonly takes: readonly LineShare[];
  readonly pot: readonly LineShare[];
  /** What is done in it, the main thing first; plans of earlier versions have none. */
  readonly operation?: Operation;
  /** By how much its minutes were set as the house's own batches took, by ln; absent where they were not. */
  readonly learned?: number;
  /** In how many lots it is done, one after the other; absent where in one. Its minutes are of all of them. */
  readonly lots?: number;
  /** Of wet heat; null where there is none. */
  readonly heat: Heat | null;
  /** Water that it drives off by plan, g. */
  readonly driven: number;
  /** In a pressure cooker: minutes at pressure, and until it comes up to it; null of others. */
  readonly pressure: { readonly minutes: number; readonly comingUp: number } | null;
}

/** So much of a line, above 0 and at most 1. */
export interface LineShare {
  readonly line: string;
  readonly share: number;
}

/** Something that goes in, and is got ready. */
export interface PlannedLine {
  readonly id: string;
  readonly food: string;
  readonly name: string;
  readonly grams: number;
  readonly measure: string;
  readonly role: Role;
}

/** What is cooked, as it was when it began: a kept version, or the recipe as handed down. What changes on the stove, its events tell. */
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
  readonly lines: readonly PlannedLine[];
  readonly tools: readonly string[];
}

/** What a line of a plan is called. */
export const nameOf = ({ lines }: Pick<CookPlan, "lines">, line: string): string => lines.find(({ id }) => id === line)?.name ?? "something";
