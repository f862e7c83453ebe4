import type { Food } from "../food";
import type { Estimate } from "../numeric";
import type { CaramelStage, RoastStage } from "./tables";

/** Foods and their grams, and what all weighs when done (null: nothing boiled away). */
export interface MixtureMaking {
  readonly kind: "mixture";
  readonly parts: readonly { readonly foodId: string; readonly grams: number }[];
  readonly finished: number | null;
}

/** A plant milk: ground with water and pressed. Grams; hours of soaking. */
export interface MilkMaking {
  readonly kind: "milk";
  readonly material: string;
  readonly grams: number;
  readonly soaked: number;
  /** Fresh water of each press. */
  readonly presses: readonly number[];
  readonly squeeze: "hard" | "loose";
  /** g of liquid per g of pressed-out solids, as this household's own pulp showed; null: as usual. */
  readonly holds: number | null;
  /** What this one weighed. */
  readonly weighedMilk: number | null;
  readonly weighedPulp: number | null;
}

export interface PasteMaking {
  readonly kind: "paste";
  readonly fruit: string;
  readonly grams: number;
  readonly water: number;
  readonly finished: number | null;
}

/** A sugar dissolved, filtered and boiled to so many per cent of solids. */
export interface SyrupMaking {
  readonly kind: "syrup";
  readonly sugar: string;
  readonly grams: number;
  readonly water: number;
  readonly filtered: boolean;
  readonly percent: number;
}

/** Sugar caramelised to a colour and let down with water. */
export interface CaramelMaking {
  readonly kind: "caramel";
  readonly sugar: string;
  readonly grams: number;
  readonly stage: CaramelStage["id"];
  readonly water: number;
}

export interface RoastMaking {
  readonly kind: "roast";
  readonly flour: string;
  readonly grams: number;
  readonly stage: RoastStage["id"];
  readonly finished: number | null;
}

/** One making of a food at home, as the maker set it down. */
export type Making = MixtureMaking | MilkMaking | PasteMaking | SyrupMaking | CaramelMaking | RoastMaking;

export const MAKING_KINDS = ["milk", "paste", "syrup", "caramel", "roast", "mixture"] as const satisfies readonly Making["kind"][];
export type MakingKind = (typeof MAKING_KINDS)[number];
export const isMakingKind = (word: unknown): word is MakingKind => MAKING_KINDS.some((kind) => kind === word);

/** What a food is made up of, per 100 g, with its spread. */
export type Contents = Pick<Food, "per100g" | "sd" | "micro" | "microSd" | "unknown">;

/** One thing that a making gives. */
export interface MadePart {
  /** "whole", "milk", "pulp", "press 1" … */
  readonly key: string;
  readonly name: string;
  readonly grams: Estimate;
  readonly contents: Contents;
  /** The food whose traits it shares, by id. */
  readonly like: string;
}

/** What is wrong with one field of a making, or doubtful. */
export interface MakingProblem {
  readonly field: string;
  readonly grave: boolean;
  readonly why: string;
}

/** A mass with its name, g. */
export interface NamedMass {
  readonly name: string;
  readonly grams: number;
}

/** One term of how a making is reckoned. */
export interface MakingTerm {
  readonly name: string;
  readonly value: number;
  readonly unit: "g" | "g per g" | "%";
}

export interface Made {
  readonly parts: readonly MadePart[];
  /** What went in, in order; with `away` and the whole parts it balances. */
  readonly went: readonly NamedMass[];
  /** What is in no part: driven off, left on the tools, held by the cloth. */
  readonly away: readonly NamedMass[];
  readonly working: readonly MakingTerm[];
  readonly problems: readonly MakingProblem[];
}
