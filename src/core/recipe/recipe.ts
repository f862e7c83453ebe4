import type { Food, Role, Treatment } from "../food";
import type { StepChoice } from "./operations";

/** Ids of a recipe's lines, steps and parts: given when they are first read, and kept through every later change. */
export type LineId = string;
export type StepId = string;
export type PartId = string;

/** What the maker has settled by hand about a line; what is absent is read from the text. */
export interface LineChoice {
  readonly foodId?: string;
  readonly grams?: number;
  readonly role?: Role;
  /** Not an ingredient, or left out of this sweet. */
  readonly leftOut?: boolean;
  /** Kept at so many times other lines together, by their ids ("sugar = all the dry"): follows them, whatever is written. */
  readonly ratio?: { readonly times: number; readonly of: readonly LineId[] };
}

export interface RecipeLine {
  readonly id: LineId;
  /** As typed or pasted; never changed by reading. */
  readonly text: string;
  readonly choice: LineChoice;
  /** The component it belongs to, by id; absent for the sweet itself. */
  readonly component?: PartId;
}

/** How much of a component ends in the sweet: all, a share, or it is served beside it. */
export type ComponentUse = { readonly kind: "whole" } | { readonly kind: "part"; readonly share: number } | { readonly kind: "apart" };

/** A part of a sweet that is made on its own: a date paste, a syrup, a topping. */
export interface RecipeComponent {
  readonly id: PartId;
  readonly name: string;
  readonly use: ComponentUse;
  /** The component it goes into, by id; absent where it goes into the sweet itself. */
  readonly into?: PartId;
}

/** One step, as typed; what is settled by hand beside it. */
export interface RecipeStep {
  readonly id: StepId;
  readonly text: string;
  readonly choice: StepChoice;
  /** The component it makes, by id; absent for the sweet itself. */
  readonly component?: PartId;
}

/** Kinds of sweets, by what makes them what they are. */
export const ARCHETYPES = [
  "pudding",
  "flour halwa",
  "pulse halwa",
  "vegetable halwa",
  "ladoo",
  "loose mix",
  "set pudding",
  "barfi",
  "fruit-bound",
  "frozen",
  "cultured",
  "sauce",
] as const;
export type Archetype = (typeof ARCHETYPES)[number];

/** What a recipe says it makes, where that is not servings: pieces, jars, what lies in a tray, or so much in all. */
export interface RecipeYield {
  readonly kind: "pieces" | "jar" | "tray" | "amount";
  /** How many pieces, jars, trays; of an amount how many of its unit. */
  readonly count: number;
  /** What one is called: "ladoo", "jar", "20 cm square tin", "ml". */
  readonly noun: string;
}

/** A sweet as handed down. */
export interface Recipe {
  readonly title: string;
  readonly servings: number;
  /** What it makes beside that, where it is told in pieces, jars or trays. */
  readonly makes?: RecipeYield;
  readonly lines: readonly RecipeLine[];
  readonly steps: readonly RecipeStep[];
  /** Parts made on their own, in the order in which they are told; absent where there are none. */
  readonly components?: readonly RecipeComponent[];
  /** Millilitres of the writer's own cup, where it is not the household's. */
  readonly cup?: number | null;
  /** Words to find it by: "winter", "festival", "fasting day". */
  readonly tags?: readonly string[];
  /** What the writer notes beside the recipe; private: never on a label or in a share. */
  readonly notes?: string;
  /** Water driven off while it cooks, g; null where it is estimated from the steps. */
  readonly evaporation: number | null;
  /** The kind of sweet; null where it is told from the lines. */
  readonly archetype: Archetype | null;
}

/** An ingredient ready for the models: a known food and how much of it. */
export interface BalancedLine {
  readonly food: Food;
  readonly grams: number;
  readonly sd: number;
  readonly role: Role;
  /** Served beside the sweet: eaten with it, but no part of its texture. */
  readonly apart?: boolean;
  /** What the steps do to it, where it is more than what the whole pot goes through. */
  readonly treated?: Treatment;
  /** What has to be bought for it, where that is more than goes in (peel, what is kept over), g. */
  readonly bought?: number;
}

/** Steps of plain sentences, numbered. */
export const plainSteps = (texts: readonly string[]): RecipeStep[] => texts.map((text, i) => ({ id: `s${i + 1}`, text, choice: {} }));

/** The sentences of the steps, the empty ones left out. */
export const stepTexts = ({ steps }: Pick<Recipe, "steps">): string[] => steps.map(({ text }) => text).filter((text) => text.trim() !== "");

/** A line made several: the first keeps its id and what was settled of it. */
export const linesApart = (line: RecipeLine, apart: readonly string[]): readonly RecipeLine[] =>
  apart.map((text, i) => (i === 0 ? { ...line, text } : { ...line, id: `${line.id}+${i}`, text, choice: {} }));
