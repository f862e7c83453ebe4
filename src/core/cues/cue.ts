import type { HandlingKind } from "../method";
import type { Operation } from "../recipe";

/** How far something has come: it has to go on, it is done, it has gone too far; one of each, in this order. */
export type Three<T> = readonly [notYet: T, now: T, tooFar: T];

export const three = <From, To>([before, now, past]: Three<From>, make: (from: From) => To): Three<To> => [make(before), make(now), make(past)];

export const SENSES = ["sight", "sound", "smell", "touch", "bite", "test"] as const;
/** What it is told by; "test" is a piece or drop that is tried apart, "bite" only what has cooled. */
export type Sense = (typeof SENSES)[number];

/** What an instrument of the set shows; every number is a share from 0 to 1 unless it says otherwise. */
export type CueDrawing =
  /** From above: how much it bubbles, how long the trail of a spoon stays open, how far it has come off the wall, how much fat stands out. */
  | {
      readonly instrument: "pan";
      readonly contents: "liquid" | "grains" | "mass" | "crumbs" | "lumps";
      readonly bubbles?: number;
      readonly trail?: number;
      readonly away?: number;
      readonly fat?: number;
    }
  /** From the side: how high it stands, from where it came down, how high foam stands over that, how much it steams. */
  | { readonly instrument: "pot"; readonly level: number; readonly from?: number; readonly foam?: number; readonly steam?: number }
  /** What runs off a spoon, by the scale of body, 0 to 10. */
  | { readonly instrument: "spoon"; readonly body: number }
  /** Pressed in the hand: −1 falls apart, 0 holds, 1 runs flat; how much fat stands on it. */
  | { readonly instrument: "ball"; readonly holds: number; readonly fat?: number }
  /** Between thumb and finger: how many threads, and how far they reach. */
  | { readonly instrument: "thread"; readonly threads: number; readonly reach: number }
  /** A drop in cold water. */
  | { readonly instrument: "glass"; readonly drop: "cloud" | "soft ball" | "hard ball" | "thread" }
  /** On a cold plate, or unmoulded: 0 runs, 1 stands with a clean edge; above that it weeps. */
  | { readonly instrument: "plate"; readonly set: number }
  /** Pieces cut through: how much hard core they have, how far they have swollen or burst. */
  | {
      readonly instrument: "pieces";
      readonly shape: "grain" | "nut" | "round" | "puff" | "shred";
      readonly core?: number;
      readonly swell?: number;
      readonly burst?: number;
    }
  /** Drawn out of the middle: how much clings to it. */
  | { readonly instrument: "skewer"; readonly clings: number; readonly cracks?: number }
  /** What runs through a cloth or off what is washed. */
  | { readonly instrument: "cloth"; readonly drips: number };
export type Instrument = CueDrawing["instrument"];

/** When an operation on a food is done: a rule of practice. */
export interface CueRow {
  readonly id: string;
  readonly operations: readonly Operation[];
  /** Of what it is told: foods that are handled so, or these alone by id or plant; of anything where neither stands. */
  readonly kinds?: readonly HandlingKind[];
  readonly foods?: readonly string[];
  /** Whether nothing but such foods may be in the pot. */
  readonly alone?: true;
  /** Whether it is told only of what was kneaded or shaped before. */
  readonly shaped?: true;
  /** Words that the step has to have. */
  readonly words?: RegExp;
  /** What is looked at: "the flour". */
  readonly of: string;
  readonly told: Readonly<Partial<Record<Sense, Three<string>>>>;
  readonly draw: Three<CueDrawing>;
  /** Its colour, on the scale from white (0) to dark (5). */
  readonly shade?: Three<number>;
  /** The same of single foods, by id or plant, where theirs is another. */
  readonly shadeOf?: Readonly<Record<string, Three<number>>>;
}

/** What a body looks like while it is cooked, and how it sounds: rules of practice. */
export interface BodyLook {
  readonly body: number;
  readonly sight: string;
  /** The same on a spoon, cold. */
  readonly cold: string;
  readonly sound: string;
}

/** A stage of boiled sugar by its test. */
export interface SyrupLook {
  readonly stage: string;
  readonly test: string;
  readonly draw: CueDrawing;
}

export interface CueTables {
  /** The first that fits holds: what is told of few foods stands before what is told of many. */
  readonly rows: readonly CueRow[];
  /** When no free liquid is left. */
  readonly dry: CueRow;
  /** By body, thin to stiff. */
  readonly bodies: readonly BodyLook[];
  /** From thin syrup to hard crack. */
  readonly syrups: readonly SyrupLook[];
}

/** When something at a step is done. */
export interface Cue {
  readonly id: string;
  readonly of: string;
  /** In the order of the senses. */
  readonly told: readonly { readonly sense: Sense; readonly words: Three<string> }[];
  readonly draw: Three<CueDrawing>;
  /** From white (0) to dark (5), with their words. */
  readonly shade: { readonly steps: Three<number>; readonly words: Three<string> } | null;
  /** What it rests on where it was computed; null for a rule of practice. */
  readonly by: string | null;
}
