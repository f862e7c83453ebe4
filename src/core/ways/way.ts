import type { Constants } from "../food";
import type { Recipe } from "../recipe";
import type { Writing } from "./writing";

/** Where practitioners part: things done to a sweet in more than one good way. */
export const WAY_IDS = [
  "rice rinsed",
  "rice kind",
  "grain before",
  "soaking water",
  "grain toasted",
  "vermicelli roasted again",
  "flour roasted",
  "liquid",
  "lid",
  "vegetable",
  "thickened by",
  "sweetener goes in",
  "jaggery in milk",
  "jaggery",
  "honey",
  "caramel",
  "coconut milk",
  "coconut milk from",
  "extracts",
  "stirring",
  "cardamom",
  "nuts",
  "fat",
  "salt",
  "setting",
] as const;
export type WayId = (typeof WAY_IDS)[number];

/** One way of doing it, and why its people do. */
export interface WayOption {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
}

/** Something that is done in several ways. */
export interface Way {
  readonly id: WayId;
  /** What is done, as a maker says it: "Coconut milk". */
  readonly of: string;
  readonly options: readonly [WayOption, WayOption, ...WayOption[]];
}

/** The option that is held to, by way; what is absent, or `AS_WRITTEN`, is done as the recipe has it. */
export type WayPicks = Readonly<Record<string, string>>;
export const AS_WRITTEN = "as written";

/** How a recipe is read and written anew for one way. */
export interface WayRule {
  /** How the recipe does it: an option, or null where it does neither; undefined where the question does not arise in it. */
  readonly written: (at: Writing) => string | null | undefined;
  /** The recipe done in another way; null where its words cannot be written so. */
  readonly write: (at: Writing, option: string) => Recipe | null;
}

/** Reads a recipe: given by the kitchen. */
export interface WayGround {
  readonly open: (recipe: Recipe) => Writing["read"];
  readonly constants: Constants;
}
