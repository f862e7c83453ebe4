import { daysBetween, dayWords } from "../calendar";
import type { Caution } from "../cautions";
import type { ServingTemperature } from "../food";
import type { LabelPanel } from "../nutrition";
import { PLACE_WORDS, type StockPlace } from "../stock";
import type { Allergens } from "./allergens";
import type { LabelIngredient } from "./ingredients";
import { keepingProblem, lastDay } from "./last-day";
import type { Storage } from "./storage";

/** What a label is made of, beside when and where it is kept. */
export interface LabelContents {
  readonly title: string;
  /** Net, g, and whether somebody weighed it. */
  /** As weighed, or as worked out; null where it was not weighed and not all that is in it is known. */
  readonly grams: number | null;
  readonly isWeighed: boolean;
  readonly servings: number;
  readonly ingredients: readonly LabelIngredient[];
  readonly allergens: Allergens;
  /** What no table knows of what went in, as it is written. */
  readonly unread: readonly string[];
  /** For whom it is and is not, and who is to be asked first; by what each of the household leaves out. */
  readonly whom: readonly { readonly name: string; readonly may: "yes" | "ask" | "no"; readonly why: readonly string[] }[];
  /** What breaks the rules of its table, and what is to be asked, without names. */
  readonly breaches: readonly string[];
  readonly questions: readonly string[];
  readonly serve: ServingTemperature;
  readonly storage: Storage;
  /** Nutrition in the layout of each rule book; empty where it is not told. */
  readonly nutrition: readonly LabelPanel[];
  /** Why there is none; null beside some. */
  readonly whyNoNutrition: string | null;
  readonly cautions: readonly Caution[];
}

/** How a sweet is closed: only what is covered lets air to it. */
export const PACKINGS = ["covered", "sealed", "vacuum-packed", "canned"] as const;
export type Packing = (typeof PACKINGS)[number];

/** When it was made, where and how it is kept, and until when; what is in the hand of who labels it. */
export interface LabelDates {
  readonly madeOn: string;
  readonly place: StockPlace;
  readonly packing: Packing;
  /** A day before the last one; null: the last one. */
  readonly useBy: string | null;
}

/** When and how it is kept, as it stands on a label. */
export interface DatedLabel {
  readonly madeOn: string;
  readonly useBy: string;
  readonly keep: readonly string[];
  readonly serve: string;
}

const SERVE: Readonly<Record<ServingTemperature, string>> = {
  hot: "Serve hot: heat it up once, to 75 °C.",
  warm: "Serve warm.",
  room: "Serve at room temperature.",
  chilled: "Serve chilled.",
};
const FIRST: Readonly<Record<StockPlace, string>> = {
  cupboard: "Keep covered, dry and dark, at no more than 30 °C.",
  fridge: "Keep covered in the fridge, at 5 °C or below.",
  freezer: "Keep closed in the freezer, at −18 °C or below.",
};

/** The dates and words of a label; why there can be none, with the field that is wrong. */
export function datedLabel(
  { storage, serve }: Pick<LabelContents, "storage" | "serve">,
  { madeOn, place, packing, useBy }: LabelDates,
  today: string,
): { readonly ok: true; readonly value: DatedLabel } | { readonly ok: false; readonly field: keyof LabelDates; readonly why: string } {
  const wrong = (field: keyof LabelDates, why: string) => ({ ok: false as const, field, why });
  if (packing !== "covered" && place === "cupboard" && storage.notSealed !== null) return wrong("packing", storage.notSealed);
  const last = lastDay(storage, place, madeOn);
  if (last === null) return wrong("place", keepingProblem(storage, place, madeOn, null) ?? `It is not kept ${PLACE_WORDS[place]}.`);
  if (last < today)
    return wrong("madeOn", `Made on ${dayWords(madeOn)}, it was good until ${dayWords(last)} ${PLACE_WORDS[place]}: that is past. It is not to be eaten.`);
  const until = useBy ?? last;
  const problem = keepingProblem(storage, place, madeOn, until);
  if (problem !== null) return wrong("useBy", problem);
  if (until < today) return wrong("useBy", `${dayWords(until)} is past: give a day from today on, ${dayWords(last)} at the latest.`);
  return { ok: true, value: { madeOn, useBy: until, keep: keepWords(storage, place, packing, { madeOn, until }), serve: SERVE[serve] } };
}

function keepWords(
  storage: Storage,
  place: StockPlace,
  packing: Packing,
  { madeOn, until }: { readonly madeOn: string; readonly until: string },
): readonly string[] {
  const { opened, thaw, thawed } = storage;
  const closed = packing === "covered" ? [] : [`${packing === "canned" ? "Canned" : packing === "sealed" ? "Sealed" : "Vacuum-packed"} it keeps no longer.`];
  if (place === "freezer")
    return [FIRST.freezer, ...closed, thaw, ...(thawed > 0 ? [`Then eat it within ${thawed === 1 ? "a day" : `${thawed} days`}; never freeze it again.`] : [])];
  const days = place === "fridge" ? opened.fridge : opened.room;
  const left = daysBetween(madeOn, until);
  const within = days === 1 ? "a day" : `${days} days`;
  return [
    FIRST[place],
    ...closed,
    days < left ? `Once opened, within ${within}, with a dry clean spoon.` : "Take it out with a dry clean spoon.",
    ...(opened.wetSpoon < left
      ? [
          `A wet spoon in it: into the fridge, and eaten ${opened.wetSpoon === 0 ? "that day" : opened.wetSpoon === 1 ? "within a day" : `within ${opened.wetSpoon} days`}.`,
        ]
      : []),
  ];
}

/** What stands on every label: what it is not. */
export const LABEL_ENDS = [
  "For one’s own table, not a legal label; home sale is under local food law.",
  "Nutrition computed from tables, not analysed. Days are rules of thumb: when it smells, looks or tastes off, throw it away.",
] as const;
