import MiniSearch from "minisearch";
import type { Food } from "../food";

/** A matched food, or ranked guesses to ask about (best first; may be empty). */
export type FoodMatch = { readonly kind: "known"; readonly foodId: string } | { readonly kind: "ask"; readonly guesses: readonly string[] };

export interface FoodMatcher {
  /** Matches a description from a recipe line. Sure only where every word that matters is accounted for. */
  match(description: string): FoodMatch;
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

/** Words that say how a food is cut, bought or kept, not which food it is. */
const DESCRIPTORS = new Set(
  (
    "fresh freshly fine finely coarse coarsely thick thin organic good quality best raw ripe dry large medium small big whole full heaped heaping rounded level scant generous loose cooked mashed " +
    "chopped diced sliced slivered flaked crushed ground grated powdered melted softened soft soaked drained washed rinsed peeled pitted stoned " +
    "deseeded halved quartered broken toasted roasted unroasted fried warm hot cold chilled boiling boiled lukewarm cooled room temperature divided packed loosely " +
    "tightly lightly roughly thinly blanched unsalted salted unsweetened plain pure natural homemade home made store bought canned tinned can tin " +
    "pods pod strands strand threads thread seeds seed sticks stick pieces piece halves half leaves leaf sheet sheets handful pinch few into for the of and or a an to in with from about " +
    "extra more garnish garnishing serving decoration plus as required needed inch cubes cube bits bit powder block nuts nut flakes at desiccated shelled skinned sifted sieved strained beaten"
  ).split(" "),
);

/** The singular, for finding alone: "berries" and "berry", "dates" and "date". */
export const stemOf = (word: string): string =>
  word.length > 3
    ? word
        .replace(/ies$/, "y")
        .replace(/(sh|ch|o|x)es$/, "$1")
        .replace(/([^s])s$/, "$1")
    : word;
const words = (text: string) =>
  text
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/['’]/g, "")
    .split(/[^a-z0-9%]+/)
    .filter(Boolean)
    .map(stemOf);
const firstWords = (text: string) => [...new Set(words(text.slice(0, MOST_SEARCH_CHARACTERS)))].slice(0, MOST_SEARCH_WORDS).join(" ");
const STEMMED_DESCRIPTORS = new Set([...DESCRIPTORS].map(stemOf));

interface Alias {
  readonly foodId: string;
  readonly tokens: readonly string[];
}

const namedBy = new WeakMap<Food, readonly Alias[]>();

/** The words of a food's name and synonyms; worked out once for each food, whichever kitchen it stands in. */
function aliasesOf(food: Food): readonly Alias[] {
  const known = namedBy.get(food);
  if (known) return known;
  const made = [food.name, ...food.synonyms].map((name) => ({ foodId: food.id, tokens: words(name) }));
  namedBy.set(food, made);
  return made;
}

const keyOf = (tokens: readonly string[]) => [...new Set(tokens)].sort().join(" ");

/** Builds the index over names and synonyms once; a few milliseconds for some hundreds of foods. */
export function createFoodMatcher(foods: Iterable<Food>): FoodMatcher {
  const list = [...foods];
  const aliases = list.flatMap(aliasesOf);
  const exact = new Map<string, string>();
  for (const alias of aliases) {
    const key = keyOf(alias.tokens);
    if (!exact.has(key)) exact.set(key, alias.foodId);
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

  function match(description: string): FoodMatch {
    const head = description.split(/,|;| - | – /)[0] ?? description;
    for (const text of [description, head]) {
      const tokens = [...new Set(words(text))];
      // All words first ("roasted vermicelli" is a food of its own), then leaving those that say only how it is cut.
      const covered = exact.get(keyOf(tokens)) ?? coveringAlias(tokens);
      if (covered) return { kind: "known", foodId: covered };
    }
    return { kind: "ask", guesses: search(description, 5) };
  }

  /** The longest alias whose words are all there while every other word is only a descriptor; undefined if tied. */
  function coveringAlias(tokens: readonly string[]): string | undefined {
    let best: Alias | undefined;
    let tied = false;
    const stated = new Set(tokens);
    for (const alias of aliases) {
      if (!alias.tokens.every((token) => stated.has(token))) continue;
      if (!tokens.every((token) => alias.tokens.includes(token) || STEMMED_DESCRIPTORS.has(token))) continue;
      if (!best || alias.tokens.length > best.tokens.length) [best, tied] = [alias, false];
      else if (alias.tokens.length === best.tokens.length && alias.foodId !== best.foodId) tied = true;
    }
    return tied ? undefined : best?.foodId;
  }
  return { match, search, prepare };
}
