import type { Cue } from "../cues";
import type { LabelContents } from "../keep";
import type { LabelPanel } from "../nutrition";

/** What may go out beside the sweet itself; nothing of it does unless it is ticked. */
export interface ShareWishes {
  /** Notes of the recipe, and why a version was made. */
  readonly notes: boolean;
  /** Names of those who eat here, with whom it is for. */
  readonly names: boolean;
  /** What its table leaves out, and the reason of each change. */
  readonly rules: boolean;
}
export const NOTHING_MORE: ShareWishes = { notes: false, names: false, rules: false };

export interface SharedIngredient {
  /** "2 cups", and g; empty and null of a line that nobody could read: then its name is the line as written. */
  readonly measure: string;
  readonly grams: number | null;
  readonly name: string;
  /** Why it stands there, where that is told; else empty. */
  readonly why: string;
}
export interface SharedStep {
  readonly text: string;
  readonly part: string | null;
  /** "20 min", empty where it takes none of its own. */
  readonly takes: string;
  readonly cues: readonly Cue[];
  readonly hazards: readonly { readonly what: string; readonly mend: string }[];
}

/** A sweet as it goes out of the house: steps, label and figures, without notes, names and rules unless they are wanted. */
export interface SharedSweet {
  readonly title: string;
  /** The version's name, where rules go with it; else null. */
  readonly version: string | null;
  readonly servings: number;
  readonly makes: string;
  readonly ingredients: readonly { readonly part: string | null; readonly items: readonly SharedIngredient[] }[];
  readonly steps: readonly SharedStep[];
  readonly figures: readonly { readonly name: string; readonly value: string; readonly per: string }[];
  readonly contains: readonly string[];
  readonly mayContain: readonly string[];
  readonly unread: readonly string[];
  readonly keeping: readonly string[];
  readonly cautions: readonly string[];
  readonly nutrition: LabelPanel | null;
  readonly whyNoNutrition: string | null;
  /** What breaks the table it was made for, where rules go with it. */
  readonly breaches: readonly string[];
  readonly whom: LabelContents["whom"];
  readonly notes: readonly string[];
  /** Names of those who eat here that stand in what somebody typed, and would go out though they are not ticked. */
  readonly namesLeft: readonly string[];
}

const ENDS = "For one’s own table. Computed from tables, not analysed; days are rules of thumb.";
const grams = (amount: number | null): string => (amount === null ? "" : `${amount < 10 ? Math.round(amount * 10) / 10 : Math.round(amount)} g`);

/** "2 cups (240 g) semolina". */
export const ingredientWords = ({ measure, grams: of, name }: SharedIngredient): string =>
  measure === "" ? `${grams(of)} ${name}`.trim() : grams(of) === "" || grams(of) === "0 g" ? `${measure} ${name}` : `${measure} (${grams(of)}) ${name}`;

/** A sweet as plain text for a message. */
export function writeMessage(sweet: SharedSweet): string {
  const { title, version, makes, ingredients, steps, contains, mayContain, unread, keeping, whom, notes, breaches } = sweet;
  const of = (may: "yes" | "ask" | "no") => whom.filter((each) => each.may === may).map(({ name }) => name);
  const block = (...lines: readonly string[]) => lines.filter((line) => line !== "").join("\n");
  return [
    block(`${title}${version === null ? "" : `, ${version}`}`, makes),
    ...ingredients.map(({ part, items }) => block(part === null ? "" : `For the ${part}:`, ...items.map((item) => `- ${ingredientWords(item)}`))),
    block(...steps.map(({ text }, i) => `${i + 1}. ${text}`)),
    block(
      contains.length > 0 ? `Contains: ${contains.join(", ").toUpperCase()}.` : "",
      mayContain.length > 0 ? `May contain: ${mayContain.join(", ").toUpperCase()}.` : "",
      unread.length > 0 ? `Not known what is in: ${unread.join("; ")}. Ask before you eat of it.` : "",
      breaches.length > 0 ? `Breaks what its table keeps: ${breaches.join("; ")}.` : "",
      of("no").length > 0 ? `Not for ${of("no").join(", ")}.` : "",
      of("ask").length > 0 ? `Ask first: ${of("ask").join(", ")}.` : "",
      of("yes").length > 0 ? `For ${of("yes").join(", ")}.` : "",
    ),
    block(...keeping),
    block(...notes),
    ENDS,
  ]
    .filter((part) => part !== "")
    .join("\n\n")
    .concat("\n");
}

/** A sweet of a version as schema.org JSON-LD, with its nutrition a serving. */
export function writeSweetJsonLd(sweet: SharedSweet): object {
  const { title, servings, makes, ingredients, steps, notes, figures } = sweet;
  const of = (name: string) => figures.find((each) => each.name === name)?.value;
  const amounts = {
    calories: of("Energy"),
    fatContent: of("Fat"),
    saturatedFatContent: of("Saturated fat"),
    carbohydrateContent: of("Carbohydrate"),
    sugarContent: of("Sugars"),
    fiberContent: of("Fibre"),
    proteinContent: of("Protein"),
  };
  const known = Object.fromEntries(Object.entries(amounts).filter(([, value]) => value !== undefined));
  return {
    "@context": "https://schema.org",
    "@type": "Recipe",
    name: title,
    ...(notes.length > 0 ? { description: notes.join("\n") } : {}),
    recipeYield: makes === "" ? `${servings} servings` : makes,
    recipeIngredient: ingredients.flatMap(({ items }) => items.map(ingredientWords)),
    recipeInstructions: steps.map(({ text }) => ({ "@type": "HowToStep", text })),
    ...(Object.keys(known).length > 0 ? { nutrition: { "@type": "NutritionInformation", servingSize: "1 serving", ...known } } : {}),
  };
}
