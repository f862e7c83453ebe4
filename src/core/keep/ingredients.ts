import type { Allergen, Food } from "../food";
import type { ReadingContext } from "../recipe";
import { allergensNamed } from "../packet";
import { allergensOf, together, type AllergenNote, type Allergens } from "./allergens";

/** What is in a sweet, and may be. */
export interface SweetContents {
  /** As it ends on the table: foods with their grams as they went in. */
  readonly lines: readonly { readonly food: Food; readonly grams: number }[];
  /** What went off as steam or was poured away, g. */
  readonly driven: number;
  /** Foods of which nobody knows how much went in. */
  readonly unmeasured: readonly Food[];
  /** What lines name beside their food, and what steps name that no line lists; null where the words are not understood. */
  readonly named: readonly { readonly food: Food | null; readonly words: string; readonly isSure: boolean }[];
  /** Lines and things that went in that no table knows, as they are written. */
  readonly unread: readonly string[];
  /** Vessels that it went through, with what else they are used for. */
  readonly shared: readonly { readonly name: string; readonly sharedWith: readonly string[] }[];
}

export interface LabelIngredient {
  readonly name: string;
  /** As it went in, g; null where nobody knows. */
  readonly grams: number | null;
  /** Of all that went in, as a share. */
  readonly share: number | null;
  readonly contains: readonly Allergen[];
  /** Whether nobody has told what it is made of, so that its allergens are what its packet says. */
  readonly isTold: boolean;
}

/** The ingredients of a label, the heaviest first, what nobody weighed last; and all allergens of them. Water that was boiled off is none. */
export function ingredientsOf(
  { lines, driven, unmeasured, named, unread, shared }: SweetContents,
  find: ReadingContext["find"],
): { readonly ingredients: readonly LabelIngredient[]; readonly allergens: Allergens } {
  const byFood = new Map<string, { readonly food: Food; readonly grams: number }>();
  for (const { food, grams } of lines) if (grams > 0) byFood.set(food.id, { food, grams: (byFood.get(food.id)?.grams ?? 0) + grams });
  const weighed = [...byFood.values()]
    .map(({ food, grams }) => ({ food, grams: food.family === "water" ? Math.max(0, grams - Math.max(0, driven)) : grams }))
    .filter(({ grams }) => grams > 0)
    .sort((a, b) => b.grams - a.grams);
  const all = weighed.reduce((sum, { grams }) => sum + grams, 0);
  const others = unmeasured.filter(({ id }) => !byFood.has(id));
  const told = (food: Food, grams: number | null): LabelIngredient => ({
    name: food.name,
    grams,
    share: grams === null || all <= 0 ? null : grams / all,
    contains: [...new Set(allergensOf(food, find).contains.map(({ allergen }) => allergen))],
    isTold: food.nature !== null,
  });
  const asNotes = (allergens: readonly string[], why: string): AllergenNote[] => allergens.map((allergen) => ({ allergen: allergen as Allergen, why }));
  return {
    ingredients: [...weighed.map(({ food, grams }) => told(food, grams)), ...others.map((food) => told(food, null))],
    allergens: together([
      ...[...weighed.map(({ food }) => food), ...others].map((food) => allergensOf(food, find)),
      ...named.map(({ food, words, isSure }): Allergens => {
        const of = food ? allergensOf(food, find) : { contains: asNotes(allergensNamed(words, find), `“${words}”`), mayContain: [] };
        return isSure && food ? of : { contains: [], mayContain: [...of.contains, ...of.mayContain] };
      }),
      // What an unread line names by its words may be what it is.
      ...unread.map((words): Allergens => ({ contains: [], mayContain: asNotes(allergensNamed(words, find), `a line that is not read: “${words}”`) })),
      ...shared.map(({ name, sharedWith }): Allergens => ({ contains: [], mayContain: asNotes(sharedWith, `${name} is used for it too`) })),
    ]),
  };
}
