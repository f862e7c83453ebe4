import { ALLERGENS, GLUTEN_CEREALS, TREE_NUTS, type Allergen, type Food, type FoodPart } from "../food";
import { allergensNamed } from "../packet";
import type { ReadingContext } from "../recipe";

/** Something that makes some people ill, and why it is, or may be, in there. */
export interface AllergenNote {
  readonly allergen: Allergen;
  readonly why: string;
}
export interface Allergens {
  readonly contains: readonly AllergenNote[];
  /** What is not sure to be in it, and is in nothing of it for sure. */
  readonly mayContain: readonly AllergenNote[];
}

const OF_PLANT: Readonly<Record<string, Allergen>> = {
  "Triticum aestivum": "wheat",
  "Triticum durum": "wheat",
  "Hordeum vulgare": "barley",
  "Secale cereale": "rye",
  "Avena sativa": "oats",
  "Glycine max": "soy",
  "Arachis hypogaea": "peanut",
  "Sesamum indicum": "sesame",
  "Brassica juncea": "mustard",
  "Brassica nigra": "mustard",
  "Sinapis alba": "mustard",
  "Apium graveolens": "celery",
  "Cocos nucifera": "coconut",
  "Prunus dulcis": "almond",
  "Anacardium occidentale": "cashew",
  "Pistacia vera": "pistachio",
  "Juglans regia": "walnut",
  "Corylus avellana": "hazelnut",
};
/** Allergens of a part of a food: by plant and animal, and by what it is called. */
const ofPart = ({ name, plant, origin }: FoodPart, find: ReadingContext["find"]): readonly Allergen[] => [
  ...new Set([
    ...(origin === "dairy" ? (["milk"] as const) : []),
    ...(origin === "egg" ? (["egg"] as const) : []),
    ...(plant !== null && OF_PLANT[plant] ? [OF_PLANT[plant]] : []),
    ...allergensNamed(name, find),
  ]),
];

/** Allergens that a food holds, and may hold: by itself and by its parts. */
export function allergensOf(food: Food, find: ReadingContext["find"]): Allergens {
  const of = food.name;
  const contains: AllergenNote[] = food.allergens.map((allergen) => ({ allergen, why: of }));
  const mayContain: AllergenNote[] = food.mayContain.map(({ allergen, why }) => ({ allergen, why: `${of}: ${why}` }));
  for (const part of food.parts)
    for (const allergen of ofPart(part, find))
      // A sure part whose name leaves open which it is ("of maize, wheat or potato") is one that may be.
      if (part.sure && !/\bor\b/.test(part.name)) contains.push({ allergen, why: `${of}: ${part.name}` });
      else mayContain.push({ allergen, why: `${of}: ${part.name}` });
  return { contains, mayContain };
}

/** Of several together: each once, in the order of the law's list; what is there for sure does not stand under what may be. */
export function together(all: readonly Allergens[]): Allergens {
  const once = (notes: readonly AllergenNote[], not: ReadonlySet<Allergen>) =>
    ALLERGENS.flatMap((allergen): AllergenNote[] => {
      const why = [...new Set(notes.filter((each) => each.allergen === allergen).map((each) => each.why))];
      return why.length === 0 || not.has(allergen) ? [] : [{ allergen, why: why.join("; ") }];
    });
  const contains = once(
    all.flatMap((each) => each.contains),
    new Set(),
  );
  return {
    contains,
    mayContain: once(
      all.flatMap((each) => each.mayContain),
      new Set(contains.map(({ allergen }) => allergen)),
    ),
  };
}

const WORDS: Readonly<Partial<Record<Allergen, string>>> = { soy: "soya", "brazil-nut": "Brazil nut" };
/** An allergen by the word that a label has for it. */
export const allergenWord = (allergen: Allergen): string => WORDS[allergen] ?? allergen.replace("-", " ");
/** Under which it is told: gluten of a cereal, tree nuts by name. */
export const allergenClass = (allergen: Allergen): string =>
  (GLUTEN_CEREALS as readonly string[]).includes(allergen)
    ? `gluten (${allergenWord(allergen)})`
    : (TREE_NUTS as readonly string[]).includes(allergen)
      ? `nuts (${allergenWord(allergen)})`
      : allergenWord(allergen);
