import { type Celsius } from "../units";
import type { Food, SugarClass, StarchForm, StarchKind } from "./food";

/** One constant with where it comes from; `rule` true where it is a rule of thumb. */
export interface Sourced<T> {
  readonly value: T;
  readonly source: string;
  readonly rule: boolean;
}

/** Potency of one starch, relative to cornflour hot. */
export interface StarchConstants {
  readonly e: number;
  readonly f: Readonly<Record<StarchForm, number>>;
  readonly chilled: number;
}

/** What kitchen operations do to mass, as shares; by food id, else by family. */
export interface ProcessConstants {
  /** Water taken up in soaking, g per g of the dry food. */
  readonly uptake: Readonly<Record<string, number>>;
  /** Share of a food that goes as peel, core and stone. */
  readonly waste: Readonly<Record<string, number>>;
  /** Share of moisture that a dry-roasted food keeps. */
  readonly roastedMoisture: number;
  /** Share of the pot's mass that goes as water, by operation. */
  readonly waterLost: Readonly<Record<"bake" | "steam" | "pressure" | "chill", number>>;
  /** Share of the pot's mass that stays on pan and tools, by operation. */
  readonly left: Readonly<Record<"transfer" | "shape", number>>;
  /** Share of an open pan's evaporation that a covered one has. */
  readonly covered: number;
  /** Share of a sugar that a cloth holds back; that goes when it is caramelised. */
  readonly filtered: number;
  readonly caramelised: number;
  /** The usual pan, cm. */
  readonly pan: number;
  /** The most water that the usual burner drives off, g per minute; null where no burner is known. */
  readonly cap: number | null;
  /** Share of its fat that lies in the upper half of a food that has stood, by food id. */
  readonly fatAbove: Readonly<Record<string, number>>;
  /** Minutes under pressure for each whistle. */
  readonly whistle: number;
  /** Minutes (at the least, as usual, at the most) and how much of the cook it takes, where a step does not say. */
  readonly usual: Readonly<
    Record<string, { readonly minutes: readonly [number, number, number]; readonly attention: "hands on" | "now and then" | "unattended" }>
  >;
}

/** All constants of the models; the tables live in `src/data` and reach core as an argument. */
export interface Constants {
  readonly energyPerGram: Sourced<
    Readonly<Record<"protein" | "fat" | "carbohydrate" | "fibre" | "organicAcids" | "xylitol" | "erythritol" | "allulose", number>>
  >;
  readonly relativeSweetness: Sourced<Readonly<Record<"sucrose" | "glucose" | "lactose" | "maltose" | "erythritol" | "xylitol" | "allulose", number>>>;
  readonly fructoseSweetness: Sourced<readonly (readonly [celsius: number, r: number])[]>;
  readonly rebaudioside: Sourced<{ readonly maximum: number; readonly half: number; readonly bitterAbove: number }>;
  readonly sweetnessModelShare: number;
  readonly freeSugarShares: Sourced<Readonly<Record<SugarClass, { readonly who: number; readonly uk: number }>>>;
  readonly starches: Sourced<Readonly<Record<StarchKind, StarchConstants>>>;
  readonly grainForms: Sourced<Readonly<Record<"whole" | "cracked" | "ground", number>>>;
  readonly body: Sourced<{
    readonly sugarInSerum: number;
    readonly fibre: number;
    readonly protein: number;
    readonly proteinChilled: number;
    readonly scale: number;
    readonly sdLogX: number;
    readonly sdSteps: number;
  }>;
  readonly agarGel: Sourced<readonly (readonly [percent: number, chilledBody: number])[]>;
  readonly gelatinisationMinutes: Sourced<Readonly<Record<string, number>>>;
  readonly evaporationFlux: Sourced<Readonly<Record<"steaming" | "simmer" | "brisk" | "rolling", number>>>;
  readonly process: Sourced<ProcessConstants>;
  /** What sweets of a kind usually come to, from low to high: g as sugar and g of fat in 100 g, body hot. */
  readonly usualSweets: Sourced<Readonly<Record<string, Readonly<Record<"sweetness" | "body" | "richness", readonly [number, number, number]>>>>>;
  readonly bodyAnchors: readonly (readonly [step: number, words: string])[];
  readonly glycaemicClassRange: Sourced<{ readonly low: number; readonly value: number; readonly high: number }>;
  readonly temperatures: Readonly<Record<ServingTemperature, Celsius>>;
  readonly noticeable: Sourced<{
    readonly sweetness: number;
    readonly body: number;
    readonly richness: number;
    readonly richnessFloor: number;
    readonly creaminess: number;
    readonly solutes: number;
  }>;
}

export const SERVING_TEMPERATURES = ["hot", "warm", "room", "chilled"] as const;
export type ServingTemperature = (typeof SERVING_TEMPERATURES)[number];

/** Everything that is known before a recipe comes in. Frozen; made by the loader in `src/data`. */
export interface Reference {
  readonly modelVersion: string;
  readonly foods: ReadonlyMap<string, Food>;
  readonly constants: Constants;
}
