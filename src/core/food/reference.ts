import { type Celsius } from "../units";
import type { Learned, LearnedFactor } from "./learned";
import type { Food, Role, SugarClass, StarchForm, StarchKind } from "./food";

/** How sweets stand the frost. */
export const FREEZING_KINDS = ["eaten frozen", "gel", "egg", "cultured", "starch", "wet", "moist", "dry"] as const;
export type FreezingKind = (typeof FREEZING_KINDS)[number];
/** Days that something keeps; 0 in the room is no more than 2 hours. */
export interface KeptDays {
  readonly room: number;
  readonly fridge: number;
  readonly freezer: number;
}

/** Operations that the usual methods are told in. */
type OperationName = "mix" | "simmer" | "dissolve" | "fry" | "roast" | "reduce" | "shape" | "chill" | "transfer" | "grind";

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
  /** What the house's own batches say of how fast its usual pan and burner drive water off; null where nothing was learned. */
  readonly rate: LearnedFactor | null;
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
  /** What the house's own batches have taught; empty in the tables that ship. */
  readonly learned: Learned;
  readonly energyPerGram: Sourced<
    Readonly<Record<"protein" | "fat" | "carbohydrate" | "fibre" | "organicAcids" | "xylitol" | "erythritol" | "allulose", number>>
  >;
  readonly relativeSweetness: Sourced<Readonly<Record<"sucrose" | "glucose" | "lactose" | "maltose" | "erythritol" | "xylitol" | "allulose", number>>>;
  readonly fructoseSweetness: Sourced<readonly (readonly [celsius: number, r: number])[]>;
  readonly rebaudioside: Sourced<{ readonly maximum: number; readonly half: number; readonly bitterAbove: number }>;
  readonly sweetnessModelShare: number;
  /** Shares of sweetness that acid (per % as citric), thickness (between two bodies), fat and salt (between so many %) take or give, at the most. */
  readonly suppression: Sourced<{
    readonly acid: { readonly perPercent: number; readonly most: number };
    readonly thickness: { readonly most: number; readonly body: readonly [number, number] };
    readonly fat: { readonly most: number; readonly percent: readonly [number, number] };
    readonly salt: { readonly most: number; readonly percent: readonly [number, number, number] };
  }>;
  readonly freeSugarShares: Sourced<Readonly<Record<SugarClass, { readonly who: number; readonly uk: number }>>>;
  readonly starches: Sourced<Readonly<Record<StarchKind, StarchConstants>>>;
  /** What of a grain's starch thickens: at first and in the end, by form; how it falls apart; what shortens its cooking. */
  readonly grain: Sourced<{
    readonly start: Readonly<Record<"whole" | "cracked" | "ground", number>>;
    readonly end: number;
    readonly endWithBran: number;
    /** In time constants. */
    readonly spread: number;
    readonly soaked: number;
    readonly pressure: number;
    /** Time constants, where nothing is said of how long it cooks. */
    readonly cookedThrough: number;
  }>;
  readonly pulse: Sourced<{
    readonly least: number;
    readonly most: number;
    readonly chilled: number;
    readonly broken: Readonly<Record<"whole" | "split", number>>;
  }>;
  /** Ground nuts, seeds and coconut in a liquid: body per gram of what neither melts nor dissolves, by botanical name. */
  readonly particles: Sourced<{
    readonly perGram: Readonly<Record<string, number>>;
    readonly other: number;
    readonly fineness: Readonly<Record<"fine" | "coarse", number>>;
    /** Starch of cashew and tiger nut, by botanical name: what of it thickens once heated, hot; times this chilled. */
    readonly starch: Readonly<Record<string, number>>;
    readonly starchChilled: number;
  }>;
  readonly egg: Sourced<{
    readonly baked: Readonly<Record<"whole" | "yolk" | "white", number>>;
    readonly stirred: number;
    readonly chilled: number;
    readonly withoutMilk: number;
  }>;
  readonly cultured: Sourced<{ readonly perPercent: number; readonly from: number }>;
  /** Sweetness that caramelising takes, as a share. */
  readonly caramelLoss: Sourced<Readonly<Record<"light" | "amber" | "dark", number>>>;
  /** Minutes in which pieces of fruit give up their sugars to what is around them, as a time constant; the least share that is tasted. */
  readonly pieces: Sourced<{ readonly whole: number; readonly cut: number; readonly least: number }>;
  readonly body: Sourced<{
    readonly sugarInSerum: number;
    readonly fibre: number;
    readonly protein: number;
    readonly proteinChilled: number;
    readonly scale: number;
    /** Fibre of mashed fruit and vegetables. */
    readonly pulp: number;
    readonly sdLogX: number;
    readonly sdSteps: number;
  }>;
  readonly agarGel: Sourced<readonly (readonly [percent: number, chilledBody: number])[]>;
  readonly gelatineGel: Sourced<{ readonly chilled: readonly (readonly [percent: number, chilledBody: number])[]; readonly hot: number }>;
  readonly gelatinisationMinutes: Sourced<Readonly<Record<string, number>>>;
  readonly evaporationFlux: Sourced<Readonly<Record<"steaming" | "simmer" | "brisk" | "rolling", number>>>;
  readonly process: Sourced<ProcessConstants>;
  /** Steps by kind of sweet, for a recipe that tells none: roles that go in, words with "{takes}" for them. */
  readonly usualMethods: Sourced<
    Readonly<
      Record<
        string,
        readonly {
          readonly roles: readonly Role[];
          readonly operations: readonly [OperationName, ...OperationName[]];
          readonly minutes: readonly [number, number, number];
          readonly attention: "hands on" | "now and then" | "unattended";
          readonly heat?: "steaming" | "simmer" | "brisk" | "rolling";
          readonly cue?: string;
          readonly words: string;
        }[]
      >
    >
  >;
  /** What sweets of a kind usually come to, from low to high: g as sugar and g of fat in 100 g, body hot. */
  readonly usualSweets: Sourced<Readonly<Record<string, Readonly<Record<"sweetness" | "body" | "richness", readonly [number, number, number]>>>>>;
  readonly bodyAnchors: readonly (readonly [step: number, words: string])[];
  /** Molar masses (of salts per osmol) and Norrish's K; what water dissolves of sucrose (beside invert sugar) and lactose, g per g; Oswin's A and B of polymers. */
  readonly waterActivity: Sourced<{
    readonly solutes: Readonly<
      Record<"sucrose" | "hexoses" | "maltose" | "lactose" | "erythritol" | "xylitol" | "allulose" | "ash", { readonly grams: number; readonly k: number }>
    >;
    readonly sucroseDissolved: { readonly least: number; readonly most: number; readonly invert: number };
    readonly lactoseDissolved: number;
    readonly polymers: Readonly<Record<"starch" | "protein" | "fibre", { readonly a: number; readonly b: number }>>;
  }>;
  /** Where what is frozen begins to freeze, and how much of it is ice where it is eaten. */
  readonly freezing: Sourced<{
    /** Kelvins below 0 °C, by g of sucrose in 100 g of water. */
    readonly bySucrose: readonly (readonly [grams: number, kelvins: number])[];
    /** g per mole. */
    readonly molarMass: Readonly<Record<"sucrose" | "hexoses" | "maltose" | "lactose" | "erythritol" | "xylitol" | "allulose", number>>;
    /** Kelvins by the salts of milk, where there are as many milk solids (without fat) as water. */
    readonly saltLowering: number;
    readonly lactoseOfMilkSolids: number;
    /** °C below 0 at which it is eaten. */
    readonly servedAt: number;
    /** What it is like to a spoon, by % of its water as ice. */
    readonly words: readonly (readonly [upTo: number, words: string])[];
  }>;
  /** Days at the most that sweets keep. */
  readonly keeping: Sourced<{
    /** By kind of sweet: at up to 30 °C, in the fridge, at −18 °C. */
    readonly kinds: Readonly<Record<string, KeptDays>>;
    /** By water activity, from the highest down. */
    readonly byActivity: readonly (readonly [from: number, room: number, fridge: number])[];
    /** Of what nobody knows the kind or the water activity. */
    readonly unknown: KeptDays;
    /** How each freezes: for how long, null where it is spoilt by it, and how it is thawed. */
    readonly freezing: Readonly<Record<FreezingKind, { readonly days: number | null; readonly thaw: string }>>;
    /** Of what is left over of the making. */
    readonly byProducts: Readonly<Record<"pulp", KeptDays>>;
    /** Days in the fridge of what was thawed. */
    readonly thawed: number;
    /** Of what is left of its days once it is opened, as a share; days in the fridge from when a wet spoon was in it. */
    readonly opened: { readonly share: number; readonly wetSpoon: number };
    /** Water activity from which without air botulinum may grow. */
    readonly sealed: number;
  }>;
  /** Binder that foods take up and give, g of fat per g. */
  readonly binding: Sourced<{
    readonly demand: Readonly<
      Record<"fine flour" | "semolina-like" | "chopped nuts" | "whole seed" | "ground seed" | "powdered sugar" | "puffed grain", number>
    >;
    readonly water: number;
    readonly sticky: number;
    /** Share of its fat that a ground nut or seed gives off, by botanical name; then it takes up so much. */
    readonly givenOff: Readonly<Record<string, number>>;
    readonly demandGivenOff: number;
    readonly words: readonly (readonly [upTo: number, words: string])[];
    /** Standard deviation of ln R. */
    readonly sdLog: number;
    /** Sweets with more water than this, g per 100 g, are not bound by it. */
    readonly mostWater: number;
  }>;
  /** Depth of colour per share of a food, by id, plant or family; what toasting adds; dyes with their hue. */
  readonly colour: Sourced<{
    readonly depth: Readonly<Record<string, number>>;
    readonly caramel: Readonly<Record<"light" | "amber" | "dark", number>>;
    readonly toasted: number;
    readonly staysLight: readonly string[];
    readonly dyes: Readonly<Record<string, { readonly hue: string; readonly perGram: number }>>;
    readonly dyed: number;
    /** A food that gives less depth than this is not told as what makes the colour. */
    readonly least: number;
  }>;
  /** Notes of foods with the amount from which each is noticed, g per 100 g, by id, plant or family. */
  readonly flavour: Sourced<{
    readonly notes: Readonly<Record<string, readonly (readonly [note: string, from: number])[]>>;
    readonly toastable: readonly string[];
    readonly toastedFrom: number;
    readonly caramelFrom: Readonly<Record<"light" | "amber" | "dark", number>>;
  }>;
  readonly glycaemicClassRange: Sourced<{ readonly low: number; readonly value: number; readonly high: number }>;
  readonly temperatures: Readonly<Record<ServingTemperature, Celsius>>;
  /** How sweet somebody likes it, as a share of how it is usually made, and how unsure that is. */
  readonly liking: Sourced<Readonly<Record<"less sweet" | "as made here" | "sweeter" | "sd", number>>>;
  readonly noticeable: Sourced<{
    readonly sweetness: number;
    readonly body: number;
    readonly richness: number;
    readonly richnessFloor: number;
    readonly creaminess: number;
    readonly solutes: number;
    /** Points of a hundred of the water. */
    readonly ice: number;
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
