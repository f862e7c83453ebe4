import type { Nutrient } from "./nutrients";

/** Where a food's composition comes from. */
export type Provenance = "measured" | "reference" | "typical" | "label" | "computed";

export const ORIGINS = ["plant", "dairy", "egg", "honey", "gelatin", "animal", "mineral", "unknown"] as const;
export type Origin = (typeof ORIGINS)[number];

export const FAMILIES = [
  "cereal", "pseudo-cereal", "pulse", "oilseed", "nut", "fruit", "vegetable", "root", "dairy", "egg",
  "sweetener", "starch", "gum", "spice", "fat", "salt", "drink", "water", "essence",
] as const;
export type Family = (typeof FAMILIES)[number];

/** Allergens of the Codex and EU lists, with gluten cereals and tree nuts by name. */
export const TREE_NUTS = ["almond", "brazil-nut", "cashew", "hazelnut", "macadamia", "pecan", "pistachio", "walnut"] as const;
export const GLUTEN_CEREALS = ["wheat", "barley", "rye", "oats"] as const;
export const OTHER_ALLERGENS = [
  "milk", "egg", "soy", "peanut", "sesame", "mustard", "celery", "lupin", "sulphites", "fish", "crustaceans", "molluscs", "coconut",
] as const;
export type Allergen = (typeof TREE_NUTS)[number] | (typeof GLUTEN_CEREALS)[number] | (typeof OTHER_ALLERGENS)[number];
export const ALLERGENS: readonly Allergen[] = [...TREE_NUTS, ...GLUTEN_CEREALS, ...OTHER_ALLERGENS];

/** How a food's sugars count as free sugars: see `freeSugarShares`. */
export const SUGAR_CLASSES = [
  "added", "intact", "whole fruit", "cooked fruit pieces", "puréed fruit", "milk", "sweetened milk", "plant drink",
] as const;
export type SugarClass = (typeof SUGAR_CLASSES)[number];

export type StarchKind =
  | "cornflour" | "maize meal" | "wheat" | "rice" | "waxy rice" | "millet" | "pulse" | "oats" | "tapioca" | "arrowroot" | "potato" | "tuber extract";
export type StarchForm = "isolated" | "flour" | "pearl";
export type GrainForm = "whole" | "cracked" | "ground";

/** How a food thickens; every part is absent where it does not. */
export interface Thickening {
  readonly starch?: {
    readonly kind: StarchKind;
    readonly form: StarchForm;
    readonly grain: GrainForm;
    /** Time constant of its cooking, minutes, where it is not that of its grain form. */
    readonly tau?: number;
    /** Bran keeps it from falling apart. */
    readonly bran?: true;
  };
  /** Body per gram as used (psyllium, chia, flax, gums), in the units of X. */
  readonly k?: number;
  /** Share of the fibre that thickens: 1, half for cereals and pulses, none for mucilage sources. */
  readonly fibreShare: 0 | 0.5 | 1;
  /** Its protein gives body (dairy, soy, coconut, nut; not cereal). */
  readonly proteinCounts: boolean;
  readonly agar?: boolean;
  readonly gelatine?: boolean;
  /** Its protein gives body as heat sets it. */
  readonly egg?: "whole" | "yolk" | "white";
  /** Its protein was set by souring (yogurt) or a salt (tofu), then stirred. */
  readonly cultured?: boolean;
}

export interface GlycaemicIndex {
  readonly low: number;
  readonly value: number;
  readonly high: number;
  readonly source: string;
}

/** What a piece or other counted unit of a food weighs, g; `share` is half the 80 % interval. */
export interface CountedMeasure {
  readonly unit: string;
  readonly grams: number;
  readonly share: number;
}

export type Role =
  | "liquid" | "sweetener" | "body" | "richness" | "binder" | "thickener" | "bulk" | "aroma" | "colour" | "crunch"
  | "seasoning" | "acid" | "setting";
export const ROLES: readonly Role[] = [
  "liquid", "sweetener", "body", "richness", "binder", "thickener", "bulk", "aroma", "colour", "crunch", "seasoning", "acid", "setting",
];

/** What the household's own measure of a food weighs, from its own weighings. */
export interface WeighedMeasure {
  /** "cup", "tablespoon", "handful", "piece" … */
  readonly unit: string;
  /** A word that a line carries for it to count ("chopped", "heaped"); empty for the plain one. */
  readonly form: string;
  readonly grams: number;
  /** Half the 80 % interval of one filling, as a share of it. */
  readonly share: number;
  readonly times: number;
  /** ISO date of the last weighing. */
  readonly at: string;
}

export const FOOD_FORMS = [
  "whole", "split", "grits", "flakes", "flour", "puffed", "pearls", "strands", "shreds", "leaf", "paste", "powder", "crystals", "block", "syrup", "liquid",
  "set", "oil", "solid fat",
] as const;
export type FoodForm = (typeof FOOD_FORMS)[number];
export const PROCESSINGS = [
  "raw", "milled", "dried", "cooked", "roasted", "popped", "malted", "fermented", "evaporated", "extracted", "refined", "sweetened",
] as const;
export type Processing = (typeof PROCESSINGS)[number];
export type BindingClass =
  | "fine flour" | "semolina-like" | "chopped nuts" | "whole seed" | "ground seed" | "powdered sugar" | "puffed grain" | "sticky" | "free fat" | "liquid";

/** What a food is by nature. */
export interface FoodNature {
  /** The plant it comes from, by its accepted botanical name; null where it is of no one plant. */
  readonly botanical: string | null;
  readonly form: FoodForm;
  readonly processing: Processing;
  /** How it takes up or gives binder in a bound sweet; null where it has no part in one. */
  readonly binding: BindingClass | null;
  /** Whether it sours: lemon, yoghurt and tamarind curdle milk, most fruit a little. */
  readonly acidity: "none" | "mild" | "sour";
}

/** Something that a food of several parts holds. */
export interface FoodPart {
  readonly name: string;
  readonly family: Family;
  /** Botanical name; null where it is of no one plant. */
  readonly plant: string | null;
  readonly origin: Origin;
  readonly alcohol: boolean;
  /** False where only some makers put it in. */
  readonly sure: boolean;
}

/** What the steps do to a food beside what the whole pot goes through; absent where they do nothing of the kind. */
export interface Treatment {
  /** Ground, blended or crushed: to a paste, or to something coarser. */
  readonly ground?: "coarse" | "fine";
  /** Soaked for hours before it is cooked. */
  readonly soaked?: boolean;
  /** Wet heat that it goes through, minutes; one under pressure counts three. */
  readonly minutes?: number;
  /** Pulses: the share that falls apart, 0 to 1. */
  readonly broken?: number;
  /** Sugar: how far it is caramelised, and what share of it; all where that is absent. */
  readonly caramel?: "light" | "amber" | "dark";
  readonly caramelShare?: number;
  /** Sugar: melted or boiled to a syrup. */
  readonly dissolved?: boolean;
  /** Roasted or fried dry, or in fat, until it smells and darkens. */
  readonly toasted?: boolean;
  /** What heat does to egg. */
  readonly egg?: "raw" | "stirred" | "baked";
  /** Fruit that stays in pieces, and is cut or left whole. */
  readonly pieces?: "whole" | "cut";
}

/** How a food that nobody has described is handled in the pot, as its maker answered: raw or ready, dry or wet, how long it cooks. */
export interface Handled {
  readonly state: "raw" | "ready";
  readonly texture: "dry" | "wet";
  /** Minutes of a simmer until it is done; 0 where it is ready. */
  readonly minutes: number;
}

/** A food: an entry of the composition table, with what the models need to know of it. */
export interface Food {
  readonly id: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  readonly provenance: Provenance;
  readonly source: string;
  readonly revision: number;
  /** Per 100 g, in the order of NUTRIENTS. */
  readonly per100g: readonly number[];
  /** Standard deviation of each, same order and unit; natural variation included. */
  readonly sd: readonly number[];
  /** Per 100 g, in the order of MICRONUTRIENTS; null where it is not known, which is never the same as none. */
  readonly micro: readonly (number | null)[];
  /** Standard deviation of each, same order and unit; null beside null. */
  readonly microSd: readonly (number | null)[];
  /** Nutrients whose amount is not known: they stand as 0 in `per100g`, and what is summed from them is "at least". */
  readonly unknown: readonly Nutrient[];
  readonly origin: Origin;
  readonly family: Family;
  /** Null where nobody has said: a food from a label. */
  readonly nature: FoodNature | null;
  readonly allergens: readonly Allergen[];
  /** Allergens it may bring depending on brand or maker, with the reason in words. */
  readonly mayContain: readonly { readonly allergen: Allergen; readonly why: string }[];
  /** What it holds beside what it is called by (starch in icing sugar, alcohol in an essence). */
  readonly parts: readonly FoodPart[];
  readonly sugarClass: SugarClass;
  readonly thickening: Thickening;
  readonly glycaemicIndex: GlycaemicIndex | null;
  /** Share of its fat that is free oil (ghee 1, nuts 0.2, milk 0). */
  readonly freeOil: number;
  /** Share of its fat that is solid at room temperature, 25 °C. */
  readonly solidFat: number;
  /** Bulk density, g per ml, as measured in cups and spoons; null where it is only weighed or counted. */
  readonly density: number | null;
  /** Pourable: read off more closely than a heaped cup. */
  readonly pours: boolean;
  readonly counted: readonly CountedMeasure[];
  /** Weighed by the household itself: goes before all other measures. */
  readonly weighed: readonly WeighedMeasure[];
  /** Density by form in words that a line may carry ("chopped", "ground"). */
  readonly forms: Readonly<Record<string, number>>;
  /** Cooked in water: g per ml, and g per g before; null where it is not cooked by itself. */
  readonly cooked: { readonly density: number; readonly gain: number } | null;
  /** The role it usually plays. */
  readonly role: Role;
  /** Foods it is often taken for, by id. */
  readonly lookAlikes: readonly string[];
  /** What a gram of it costs this household, in its own currency; null where it has no price. */
  readonly pricePerGram: number | null;
  /** What its maker has answered of it; absent where nobody was asked, and where its nature is known. */
  readonly handled?: Handled;
  /** What steps did to it, where it is a food as treated. */
  readonly treated?: Treatment;
  /** A thing to know before it is bought or used, in one sentence. */
  readonly note: string | null;
}

/** A nut or an oily seed; the peanut is one in the kitchen, though a pulse by its plant. */
export const isNutOrSeed = ({ family, nature }: Food): boolean => family === "nut" || family === "oilseed" || (family === "pulse" && nature?.botanical === "Arachis hypogaea");

/** Of one plant, or of one kind of animal: "the milk" of a step is the toned milk of the list. */
export const areKin = (one: Food, other: Food): boolean =>
  one.id === other.id ||
  (one.nature?.botanical != null && one.nature.botanical === other.nature?.botanical) ||
  (one.origin === other.origin && one.origin !== "plant" && one.origin !== "mineral");
