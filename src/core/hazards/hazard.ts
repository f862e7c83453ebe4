import type { ServingTemperature } from "../food";
import { shortName, type HandlingKind, type Method } from "../method";
import type { Archetype, StepId } from "../recipe";
import type { Version } from "../substitution";
import type { InPot, PotAt } from "./pot";

/** How sure it is: act; act or watch; good to know. */
export const HAZARD_GRADES = ["sure", "likely", "sometimes"] as const;
export type HazardGrade = (typeof HAZARD_GRADES)[number];
export const HAZARD_FAMILIES = [
  "casein curdles",
  "coconut milk splits",
  "plant milk curdles",
  "egg scrambles",
  "raw egg",
  "starch lumps",
  "starch thins",
  "setting fails",
  "sugar grains",
  "scorches",
  "aroma lost",
  "ladoo timing",
  "starch drained",
  "too little liquid",
  "grain drowns the extract",
  "ferments",
  "honey heated",
  "spits and burns",
  "boiling sugar",
  "pressure",
  "boils over",
  "to be cooled soon",
] as const;
export type HazardFamily = (typeof HAZARD_FAMILIES)[number];

/** Something that can go wrong at a step, by order, heat, acid or time. */
export interface Hazard {
  readonly family: HazardFamily;
  readonly grade: HazardGrade;
  readonly step: StepId;
  /** What happens, and why. */
  readonly what: string;
  /** What to do about it. */
  readonly mend: string;
  /** How others do it who do not mind it; null where nobody does. */
  readonly school: string | null;
  /** What a sure one puts into the step, before or behind its words; null where it only warns. */
  readonly change: { readonly place: "before" | "behind"; readonly text: string } | null;
}

/** What hazards are told of. */
export interface HazardGround {
  readonly method: Method;
  readonly textOf: (step: Method["steps"][number]) => string;
  readonly version: Version;
  readonly archetype: Archetype;
  readonly serve: ServingTemperature;
}

export interface Context extends Omit<HazardGround, "textOf" | "method"> {
  readonly pots: readonly PotAt[];
  readonly finished: number;
}
export type Found = Omit<Hazard, "step">;
export type Family = (at: PotAt, context: Context) => readonly Found[];

export const hazard = (family: HazardFamily, grade: HazardGrade, what: string, mend: string, more: Partial<Pick<Hazard, "school" | "change">> = {}): Found => ({
  family,
  grade,
  what,
  mend,
  school: null,
  change: null,
  ...more,
});
export const name = ({ food }: InPot): string => shortName(food);
export const kinds =
  (...wanted: readonly HandlingKind[]) =>
  ({ kind }: InPot): boolean =>
    kind !== null && wanted.includes(kind);
export const together = ({ before, coming }: PotAt): readonly InPot[] => [...before, ...coming];
/**
 * What these weigh together.
 * @unit g
 * @range 0 or more
 * @source a sum
 */
export const grams = (items: readonly InPot[]): number => items.reduce((sum, item) => sum + item.grams, 0);

export const isLiquid = kinds("milk", "plant milk", "water", "cream");
export const isDairyMilk = ({ food, kind }: InPot): boolean => food.family === "dairy" && (kind === "milk" || kind === "cream");
export const isSour = ({ food }: InPot): boolean => food.nature?.acidity === "sour" && food.family !== "dairy";
export const isMildlySour = ({ food }: InPot): boolean => food.nature?.acidity === "mild" && food.family === "fruit";
export const isUnrefined = ({ food }: InPot): boolean => food.family === "sweetener" && food.nature?.processing === "evaporated" && !food.pours;
export const isStarchy = kinds("grain", "grits", "strands", "flakes", "flour", "starch", "pearls", "pulse");
export const ON_PURPOSE = /\b(?:curdl|splits?\b|whey|paneer|chenna|curds?\b)/i;
/** So much acid fruit for the milk in the pot matters. */
export const ACID_SHARE = 0.01;
export const HOT = 60;
export const NEAR_BOIL = 75;

/** Whether two kinds of food meet at this step: one of them comes in, the other is or comes there. */
export const meet = (at: PotAt, one: (item: InPot) => boolean, other: (item: InPot) => boolean): { readonly one: InPot; readonly other: InPot } | null => {
  const [a, b] = [together(at).find(one), together(at).find(other)];
  return a && b && (at.coming.some(one) || at.coming.some(other)) ? { one: a, other: b } : null;
};
/**
 * The heat that both go through from here on: it may come in cold and be boiled after.
 * @unit °C
 * @range 8 to 165
 * @source rules of thumb by what was done last
 */
export const heatTogether = ({ celsius, hottest, minutesAfter }: PotAt): number => (minutesAfter > 0 ? Math.max(celsius, hottest) : celsius);
export const LUKEWARM = "First let the pot cool until it is no more than lukewarm.";
