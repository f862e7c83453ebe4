import type { StoredSnapshot } from "../adaptation";
import type { Recipe } from "../recipe";

const FORMAT = "threpsis-recipes";
const VERSION = 3;

/** The app's own file: everything that a recipe holds, what was settled by hand included. */
export interface OwnFile {
  readonly format: typeof FORMAT;
  readonly version: number;
  readonly recipes: readonly Recipe[];
  /** Versions of them, each with the place of its recipe; from the third version of the format on. */
  readonly versions?: readonly SentVersion[];
}
/** A kept version on its way from one house to another. */
export interface SentVersion {
  /** Place of its recipe in the file, from 0. */
  readonly recipe: number;
  readonly snapshot: StoredSnapshot;
}

export const writeOwnFile = (recipes: readonly Recipe[], versions: readonly SentVersion[] = []): OwnFile => ({
  format: FORMAT,
  version: VERSION,
  recipes,
  ...(versions.length > 0 ? { versions } : {}),
});

/** Before the own file, base64, in a page that is sent on: so it comes back whole. */
export const SHEET_DATA = "threpsis-recipes:";

/** Whether a document says that it is the app's own, and of a version that is known here. */
export function ownFileKind(document: unknown): "ours" | "newer" | "other" {
  if (typeof document !== "object" || document === null || !("format" in document) || document.format !== FORMAT) return "other";
  return "version" in document && typeof document.version === "number" && document.version > VERSION ? "newer" : "ours";
}

/** A recipe of a file as it is written today: in version 1 a step was a plain sentence; what the recipe leaves to be worked out may be left out. */
export function upgraded(recipe: unknown): unknown {
  if (typeof recipe !== "object" || recipe === null || !("steps" in recipe) || !Array.isArray(recipe.steps)) return recipe;
  return {
    evaporation: null,
    archetype: null,
    ...recipe,
    steps: recipe.steps.map((step: unknown, i) => (typeof step === "string" ? { id: `s${i + 1}`, text: step, choice: {} } : step)),
  };
}
