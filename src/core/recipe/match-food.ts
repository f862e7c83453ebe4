import MiniSearch from "minisearch";
import { INDEX, type Allergen, type Food } from "../food";
import {
  ABOUT_WORDS,
  CONTAINERS,
  FILLING_WORDS,
  JOINERS,
  PARTS,
  PIECE_WORDS,
  PREPARATIONS,
  PURPOSES,
  QUALITIES,
  REGIONAL_PREPARATIONS,
  SHAPES,
  SIZE_WORDS,
  THINGS,
  TIME_WORDS,
  VARIETIES,
} from "./vocabulary";

/** A matched food, or ranked guesses to ask about (best first; may be empty). */
export type FoodMatch = { readonly kind: "known"; readonly foodId: string } | { readonly kind: "ask"; readonly guesses: readonly string[] };

export interface FoodMatcher {
  /**
   * Matches the words of a line that name its food. Sure only where every word is accounted for: by the food's name, or as
   * one that changes nothing about that food. `beside` are words that stand after it ("ground", "condensed"): a name may take
   * them in.
   */
  match(description: string, beside?: string): FoodMatch;
  /** The id of the food that is matched; null where it would have to be asked. No guesses are looked for. */
  known(description: string, beside?: string): string | null;
  /** Ranked food ids for what is being typed. */
  search(words: string, limit: number): readonly string[];
  /** Builds what a search asks, a part at a time, so that the first search need not. */
  prepare(): Promise<void>;
}

/** What is not known is looked for by its first words. */
const MOST_SEARCH_WORDS = 8;
const MOST_SEARCH_CHARACTERS = 240;
/** Foods indexed without a pause: a millisecond or two. */
const PREPARED_AT_ONCE = 60;
/** A food that holds less water than this, g per 100 g, is dry. */
const DRY_BELOW = 35;
const FRESH = "fresh";

const stemmed = new Map<string, string>();
const MOST_STEMS = 8000;

/** The singular, for finding alone: "berries" and "berry", "dates" and "date". */
export function stemOf(word: string): string {
  if (word.length <= 3) return word;
  const known = stemmed.get(word);
  if (known !== undefined) return known;
  const stem = word
    .replace(/ies$/, "y")
    .replace(/(sh|ch|o|x)es$/, "$1")
    .replace(/leaves$/, "leaf")
    .replace(/halves$/, "half")
    .replace(/([^s])s$/, "$1");
  if (stemmed.size >= MOST_STEMS) stemmed.clear();
  stemmed.set(word, stem);
  return stem;
}
const words = (text: string) =>
  text
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/['’]/g, "")
    .replace(/%/g, " % ")
    // Words of other scripts are words, too.
    .split(/[^\p{L}\p{M}0-9%]+/u)
    .filter(Boolean)
    .map(stemOf);
const firstWords = (text: string) => [...new Set(words(text.slice(0, MOST_SEARCH_CHARACTERS)))].slice(0, MOST_SEARCH_WORDS).join(" ");

const stems = (...lists: readonly (readonly string[])[]): ReadonlySet<string> => new Set(lists.flat().map(stemOf));
/** Words that change nothing about any food. */
const PLAIN = stems(
  VARIETIES,
  QUALITIES,
  PREPARATIONS,
  REGIONAL_PREPARATIONS,
  PURPOSES,
  JOINERS,
  ABOUT_WORDS,
  FILLING_WORDS,
  SIZE_WORDS,
  TIME_WORDS,
  PIECE_WORDS,
  Object.values(CONTAINERS).flatMap((written) => written.split(" ")),
);
const NOT_DEEDS = stems(THINGS);
const BY_FAMILY: ReadonlyMap<string, readonly string[]> = new Map(
  [...Object.entries(PARTS), ...Object.entries(SHAPES)].map(([word, families]) => [stemOf(word), families]),
);
/** Adverbs and what was done to a thing. */
const HOW = /[a-z]{3}(?:ly|ed|ing|less)$/;

/** Whether a word beside a food's name, by its stem, says how it is cut, bought or kept, and not which food it is. */
export const isPlainWord = (stem: string): boolean => PLAIN.has(stem) || (HOW.test(stem) && !NOT_DEEDS.has(stem) && !BY_FAMILY.has(stem)) || /^\d+$/.test(stem);

const SHAPE_STEMS = stems(Object.keys(SHAPES));
/** Whether a word tells what was done to a thing: "roasted", "powdered". */
export const isDeed = (stem: string): boolean => SHAPE_STEMS.has(stem) || (HOW.test(stem) && !NOT_DEEDS.has(stem));

/** Whether a word says how a thing is, even if that may make another food of it: it names none by itself. */
export const isDescribing = (stem: string): boolean => BY_FAMILY.has(stem) || isPlainWord(stem);

/** Whether a word changes nothing about this food: "powder" nothing about cinnamon, "dried" nothing about raisins, "vegan" nothing about sugar. */
export function changesNothing(stem: string, food: Food): boolean {
  const { family, per100g } = food;
  const claim = CLAIMS[stem];
  // What is claimed of a food that has what it claims to be without is another food.
  if (claim) return !claim(food);
  const families = BY_FAMILY.get(stem);
  const isDry = (per100g[INDEX.water] ?? 100) < DRY_BELOW;
  // "Fresh apricots" are not dried ones.
  if (stem === FRESH) return !(family === "fruit" && isDry);
  if (families) return families.includes(family) || (families.includes("dry") && isDry);
  return isPlainWord(stem);
}

const holds =
  (...allergens: readonly Allergen[]) =>
  (food: Food): boolean =>
    food.allergens.some((each) => allergens.includes(each));
/** What a packet claims, by the word beside "free": whether a food is otherwise. */
const CLAIMS: Readonly<Record<string, (food: Food) => boolean>> = {
  gluten: holds("wheat", "barley", "rye"),
  dairy: holds("milk"),
  vegan: (food) => food.origin !== "plant" && food.origin !== "mineral",
  vegetarian: ({ origin }) => origin === "gelatin" || origin === "animal",
  certified: () => false,
};

interface Alias {
  readonly food: Food;
  readonly tokens: readonly string[];
}

const namedBy = new WeakMap<Food, readonly Alias[]>();

/** The words of a food's name and synonyms; worked out once for each food, whichever kitchen it stands in. */
function aliasesOf(food: Food): readonly Alias[] {
  const known = namedBy.get(food);
  if (known) return known;
  const made = [food.name, ...food.synonyms].map((name) => ({ food, tokens: [...new Set(words(name))] }));
  namedBy.set(food, made);
  return made;
}

const keyOf = (tokens: readonly string[]) => [...new Set(tokens)].sort().join(" ");

/** Builds the index over names and synonyms once; a few milliseconds for some hundreds of foods. */
export function createFoodMatcher(foods: Iterable<Food>): FoodMatcher {
  const list = [...foods];
  const aliases = list.flatMap(aliasesOf);
  const exact = new Map<string, string>();
  const uses = new Map<string, number>();
  for (const { tokens } of aliases) for (const token of tokens) uses.set(token, (uses.get(token) ?? 0) + 1);
  const rarest = ({ tokens }: Alias) => tokens.reduce((rare, token) => ((uses.get(token) ?? 0) < (uses.get(rare) ?? 0) ? token : rare), tokens[0] ?? "");
  /** By the word of theirs that the fewest names share: only those whose word stands in a line are looked at. */
  const byRarest = new Map<string, Alias[]>();
  for (const alias of aliases) {
    const key = keyOf(alias.tokens);
    if (!exact.has(key)) exact.set(key, alias.food.id);
    const token = rarest(alias);
    const others = byRarest.get(token);
    if (others) others.push(alias);
    else byRarest.set(token, [alias]);
  }
  // Only asked when something is typed or not known: built then, if it was not prepared.
  let index: MiniSearch | null = null;
  const empty = () => new MiniSearch({ fields: ["name", "synonyms"], storeFields: [], processTerm: (term) => stemOf(term.toLowerCase()) });
  const documents = () => list.map((food) => ({ id: food.id, name: food.name, synonyms: food.synonyms.join(" ") }));
  const indexed = (): MiniSearch => {
    if (index) return index;
    index = empty();
    index.addAll(documents());
    return index;
  };
  const prepare = async (): Promise<void> => {
    if (index) return;
    const made = empty();
    await made.addAllAsync(documents(), { chunkSize: PREPARED_AT_ONCE });
    index ??= made;
  };

  /** What is called just so comes first. */
  const search = (text: string, limit: number): readonly string[] => {
    const found = indexed()
      .search(firstWords(text), {
        prefix: true,
        fuzzy: (term) => (term.length > 3 ? 0.2 : false),
        boost: { synonyms: 1.2 },
        boostDocument: (id) => (String(id).startsWith("ifct-") ? 0.6 : 1),
      })
      .map((hit) => String(hit.id));
    const named = exact.get(keyOf(words(text)));
    return (named === undefined ? found : [named, ...found.filter((id) => id !== named)]).slice(0, limit);
  };

  function known(description: string, beside = ""): string | null {
    const own = [...new Set(words(description.slice(0, MOST_SEARCH_CHARACTERS)))];
    const more = [...new Set(words(beside.slice(0, MOST_SEARCH_CHARACTERS)))].filter((token) => !own.includes(token));
    // All words first ("roasted vermicelli" is a food of its own), then leaving those that change nothing about it.
    return exact.get(keyOf(own.concat(more))) ?? coveringAlias(own, more) ?? exact.get(keyOf(own)) ?? coveringAlias(own, []) ?? null;
  }

  function match(description: string, beside = ""): FoodMatch {
    const foodId = known(description, beside);
    return foodId === null ? { kind: "ask", guesses: search(description, 5) } : { kind: "known", foodId };
  }

  /** The longest alias whose words are all there while every other word changes nothing about it; undefined if tied. */
  function coveringAlias(own: readonly string[], more: readonly string[]): string | undefined {
    const stated = new Set([...own, ...more]);
    let best: Alias | undefined;
    let tied = false;
    for (const alias of [...own, ...more].flatMap((token) => byRarest.get(token) ?? [])) {
      if (best && alias.tokens.length < best.tokens.length) continue;
      if (!alias.tokens.some((token) => own.includes(token))) continue;
      if (!alias.tokens.every((token) => stated.has(token))) continue;
      if (![...stated].every((token) => alias.tokens.includes(token) || changesNothing(token, alias.food))) continue;
      if (!best || alias.tokens.length > best.tokens.length) [best, tied] = [alias, false];
      else if (alias.food.id !== best.food.id) tied = true;
    }
    return tied ? undefined : best?.food.id;
  }
  return { match, known, search, prepare };
}
