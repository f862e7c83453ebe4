import type { Food, Role } from "../food";

/** What the maker has settled by hand about a line; what is absent is read from the text. */
export interface LineChoice {
  readonly foodId?: string;
  readonly grams?: number;
  readonly role?: Role;
  /** Not an ingredient, or left out of this sweet. */
  readonly leftOut?: boolean;
}

export interface RecipeLine {
  readonly id: string;
  /** As typed or pasted; never changed by reading. */
  readonly text: string;
  readonly choice: LineChoice;
}

export const ARCHETYPES = ["pudding", "flour halwa", "vegetable halwa", "ladoo", "set pudding", "fruit-bound"] as const;
export type Archetype = (typeof ARCHETYPES)[number];

/** A sweet as handed down. */
export interface Recipe {
  readonly title: string;
  readonly servings: number;
  readonly lines: readonly RecipeLine[];
  readonly steps: readonly string[];
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
}
