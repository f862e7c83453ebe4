import { isCalledMade, isMadeOf, isPulpOf } from "./made-of";
import type { Food } from "../food";
import { isPlainWord, stemOf } from "./match-food";
import type { Mention } from "./mentions";
import { singleSpaced } from "./plain-text";
import { CONTAINERS, NUMBER_WORDS, OTHERS, PART_WORDS, PARTS, SHAPES, STEP_WORDS, THINGS, UNIT_WORDS } from "./vocabulary";

/** A food that a text names, and where. */
export interface NamedFood {
  readonly food: Food;
  readonly at: number;
  readonly end: number;
  /** False where it is said not to be in it ("without ghee"), or the name is of a tool or a likeness ("butter paper"). */
  readonly meant: boolean;
}

/** Finds every food that a text names, wherever in it, the longest name first; linear in the text. */
export type FoodFinder = (text: string) => readonly NamedFood[];

/** Short words of this script bring no food; of others any may. */
const SHORT = /^[a-z\d%é]*$/;
const WORD = /[\p{L}\p{M}\d%]+/gu;
interface Word {
  readonly stem: string;
  readonly at: number;
  readonly end: number;
}
const wordsIn = (text: string): readonly Word[] =>
  [...text.toLowerCase().replaceAll(/['’]/g, " ").matchAll(WORD)].map(({ 0: word, index }) => ({ stem: stemOf(word), at: index, end: index + word.length }));

/** Names that are English words of their own, and would be found where nobody means a food. */
const NOT_NAMES = new Set(["then"]);
/** What a word made of a food's name brings with it. */
const MADE_OF: Readonly<Record<string, string>> = {
  buttered: "butter",
  buttery: "butter",
  creamed: "cream",
  sugared: "sugar",
  honeyed: "honey",
  malted: "malt",
  salted: "salt",
  floured: "flour",
  egged: "egg",
  cheesy: "cheese",
  milky: "milk",
  nutty: "nuts",
  boozy: "rum",
};
/** Before or after a name they say that it is not in it. */
const NOT_IN = /\b(?:no|not|without|instead of|in place of|rather than|free (?:of|from)|replac(?:es|ing)|never|minus) (?:any |the |added |all )?$/i;
/** Before a name they say that something is like it: "the colour of honey". A weight, or what somebody likes, is none. */
const LIKE =
  /\b(?:(?:colou?r|shade|texture|consistency|thickness|size) of|(?:smells|looks|tastes) (?:of|like)|(?<!\b(?:you|they|we|i|would|who) )like|resembl(?:es|ing)|as (?:thick|thin|brown|dark|soft|big|small) as)(?: (?:a|an|the|strong|weak|dark|thick|thin|pouring|roasted|toasted|fresh|small|large|big))*$/i;
const FREE = /^(?:[- ]free\b|-?less\b)/i;
/** A tool that is called by a food, from the food on; or a likeness. */
const TOOL =
  /^(?:tea (?:towel|strainer|cloth)|butter (?:paper|knife|dish)|coffee (?:filter|grinder|mug|cup)|egg (?:beater|whisk|cup|timer)|cheese ?cloth|(?:nut )?milk (?:bag|pan)|nut (?:grinder|mill|cracker)|rice cooker|bread knife|cake (?:tin|ring|stand|mould)|pastry (?:brush|cutter|bag)|(?:sugar|jam|oil|milk) thermometer|jam jar|wine glass|spice (?:grinder|mill)|pepper mill|(?:biscuit|cookie) (?:cutter|sheet|tin)|pie (?:dish|tin)|[a-z]{1,20}s?[- ](?:sized|shaped|colou?red))\b/i;
/** "cream the butter", "toast the millet": what is done, not a food. */
const DONE = new Set(["cream", "glaze", "toast"]);
const DONE_TO = /^ (?:the|it|them|each|together|until|in a|well|with)\b/i;
const BEGINS = /(?:^|[.;,] ?|\band |\bthen )$/i;

const SEEDS_UNNAMED = "named-seeds-kinds-not-said";
const OF_IT = /^ (?:only|removed|discarded|scraped|separated|from|of|crushed|taken|and pith)\b/i;

interface Node {
  readonly foods: Food[];
  readonly next: Map<string, Node>;
}

/** Builds the finder over the names and synonyms of these foods once; of several with one name all are found. */
export function createFoodFinder(foods: Iterable<Food>): FoodFinder {
  const root: Node = { foods: [], next: new Map() };
  for (const food of foods)
    for (const name of [food.name, food.name.split(",")[0] ?? "", ...food.synonyms]) {
      const words = wordsIn(name);
      if (words.length === 0 || NOT_NAMES.has(name.toLowerCase())) continue;
      let node = root;
      for (const { stem } of words) {
        const next = node.next.get(stem) ?? { foods: [], next: new Map<string, Node>() };
        node.next.set(stem, next);
        node = next;
      }
      if (!node.foods.includes(food)) node.foods.push(food);
    }
  return (text) => {
    const words = wordsIn(text);
    const found: NamedFood[] = [];
    for (let i = 0; i < words.length; i++) {
      let node: Node | undefined = root;
      let longest: { readonly foods: readonly Food[]; readonly to: number } | null = null;
      for (let k = i; k < words.length; k++) {
        const stem: string = words[k]?.stem ?? "";
        node = node.next.get(stem) ?? (k === i ? root.next.get(stemOf(MADE_OF[stem] ?? "")) : undefined);
        if (!node) break;
        if (node.foods.length > 0) longest = { foods: node.foods, to: k };
      }
      const first = words[i];
      const last = longest && words[longest.to];
      if (!longest || !first || !last) continue;
      const free =
        [NOT_IN, LIKE].some((each) => each.test(text.slice(Math.max(0, first.at - 40), first.at).trimEnd() + (each === NOT_IN ? " " : ""))) ||
        FREE.test(text.slice(last.end, last.end + 6));
      const after = text.slice(last.end, last.end + 14);
      // "Seeds only", "the seeds of the cardamom": those of what the line is of.
      const ofIt = longest.foods.some(({ id }) => id === SEEDS_UNNAMED) && OF_IT.test(after);
      const done = DONE.has(first.stem) && longest.to === i && DONE_TO.test(after) && BEGINS.test(text.slice(Math.max(0, first.at - 6), first.at));
      const meant = !free && !done && !ofIt && !TOOL.test(text.slice(first.at, first.at + 40));
      for (const food of longest.foods) found.push({ food, at: first.at, end: last.end, meant });
      // Across a comma another name may begin within this one: "amaranth seed, black berry".
      if (!/[,;()]/.test(text.slice(first.at, last.end))) i = longest.to;
    }
    return found;
  };
}

const BRING_NO_FOOD = new Set(
  [
    ...OTHERS,
    ...Object.keys(PARTS),
    ...Object.keys(SHAPES),
    ...Object.keys(NUMBER_WORDS),
    ...Object.keys(PART_WORDS),
    ...[UNIT_WORDS, CONTAINERS].flatMap((units) => Object.values(units).flatMap((written) => written.split(" "))),
  ].map(stemOf),
);
const IN_STEPS = new Set(STEP_WORDS.map(stemOf));
const THING_STEMS = new Set(THINGS.map(stemOf));
/** "To loosen", "to fold through": after "to" stands what is to be done, whatever the word. Foods are found by their names all the same. */
export const isToBeDone = (text: string, at: number): boolean => /(?:^|[^\p{L}])to $/iu.test(text.slice(Math.max(0, at - 4), at));

/** Whether a word, by its stem, brings no food beside the one that a line is of. */
export const isHarmless = (stem: string): boolean => BRING_NO_FOOD.has(stem) || isPlainWord(stem);

type Span = Pick<NamedFood, "at" | "end">;

/** Tells whether a place lies within one of these spans, which do not overlap but where they are the same. */
export function coverOf(spans: readonly Span[]): (place: Span) => boolean {
  const sorted = [...spans].sort((a, b) => a.at - b.at);
  return ({ at, end }) => {
    let [low, high] = [0, sorted.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sorted[middle]?.at ?? 0) <= at) low = middle + 1;
      else high = middle;
    }
    const span = sorted[low - 1];
    return span !== undefined && end <= span.end;
  };
}

/** The words of a part of a text, from `from` on, that name no food and are not known to be harmless; in order, each once. */
export function unknownWords(text: string, from: number, named: (place: Span) => boolean, known: (stem: string) => boolean): readonly string[] {
  const found = new Map<string, string>();
  for (const { stem, at, end } of wordsIn(text)) {
    if (named({ at: at + from, end: end + from })) continue;
    const word = text.slice(at, end).toLowerCase();
    if (
      (stem.length < 3 && SHORT.test(stem)) ||
      /\d/.test(stem) ||
      isHarmless(stem) ||
      known(stem) ||
      isToBeDone(text, at) ||
      (HOW.test(word) && !THING_STEMS.has(stem))
    )
      continue;
    found.set(stem, text.slice(at, end));
  }
  return [...found.values()];
}

/** Adverbs and what was done to it bring no food; what is made of a food's name is found as that food before. */
const HOW = /(?:\p{L}{3}(?:ly|ed|ing)|less)$/u;
const namedBy = new WeakMap<Food, ReadonlySet<string>>();
/** The words of a food's names, by their stems; worked out once for each food. */
export function nameStemsOf(food: Food): ReadonlySet<string> {
  const known = namedBy.get(food);
  if (known) return known;
  const made = new Set([food.name, ...food.synonyms].flatMap(stemsOf));
  namedBy.set(food, made);
  return made;
}

/** What a step names that stands in no line: a food, or words that may name one. */
export interface Unlisted {
  readonly food: Food | null;
  readonly words: string;
  /** Called as something made in the recipe is ("the custard"), and holding what no listed food brings: it may be another. */
  readonly made: boolean;
}

/** After these a step says what goes in or on, or what it is cooked in. */
const GOES_IN =
  /\b(?:with|add|adding|scatter|sprinkle|(?:stir|fold|mix|whisk|beat|pour) in|(?:stuff|fill)(?:ed)? with|(?:cook|fry|roast|toast|soak|boil|simmer|steam|dip|roll|toss|coat|poach|braise|steep)(?:ed|ing)?(?: [a-z]{1,12}){0,3} in) ([^.;:()]{1,100})/gi;
const ENDS =
  /\b(?:until|till|for|on|onto|over|into|in|to|at|by|from|while|so|then|but|as|when|if|after|before|between|through|around|under|off|against|inside)\b/i;
/** Foods that a step names and no line lists, and words after "add" or "with" that may name one. `listed` finds lines and parts by their names; `known` are words of the recipe. */
export function unlistedIn(
  text: string,
  {
    mentions,
    listed,
    known,
    find,
  }: {
    readonly mentions: readonly Mention<unknown>[];
    /** Foods of the lines, and those that they name beside, by id. */
    readonly listed: ReadonlyMap<string, Food>;
    readonly known: ReadonlySet<string>;
    readonly find: FoodFinder;
  },
): readonly Unlisted[] {
  const spans = mentions.map(({ at, words }) => ({ at, end: at + words.length }));
  const meansListed = coverOf(spans);
  const named = find(text);
  const found = named.filter(({ meant }) => meant);
  const isNamed = coverOf(named);
  const listedAt = new Set(found.filter(({ food }) => listed.has(food.id)).map(({ at }) => at));
  const all = [...listed.values()];
  const foods = new Map<string, Unlisted>();
  const sameAt = new Set<string>();
  for (const each of found) {
    const { food, at, end } = each;
    const words = wordsIn(text.slice(at, end))
      .map(({ stem }) => stem)
      .join(" ");
    if (food.id === "water" || meansListed(each) || listedAt.has(at)) continue;
    if (food.id === NUTS_UNNAMED && all.some(({ family }) => family === "nut")) continue;
    // Of several foods of one name those that no rule could tell apart are one.
    const nature = `${at} ${natureOf(food)}`;
    if (foods.has(food.id)) sameAt.add(nature);
    if (sameAt.has(nature)) continue;
    const made = isCalledMade(words, text.slice(Math.max(0, at - 60), at));
    if (made && isMadeOf(food, all)) continue;
    if (isPulpOf(text.slice(at, end), food, all)) continue;
    if (isShortFor(words, text.slice(Math.max(0, at - 16), at), food, all)) continue;
    foods.set(food.id, { food, words: food.name, made });
    sameAt.add(nature);
  }
  const words: string[] = [];
  for (const match of text.matchAll(GOES_IN)) {
    const phrase = (match[1] ?? "").split(ENDS)[0] ?? "";
    const from = match.index + match[0].length - (match[1] ?? "").length;
    words.push(
      ...unknownWords(
        phrase,
        from,
        (place) => isNamed(place) || meansListed(place),
        (stem) => known.has(stem) || IN_STEPS.has(stem),
      ),
    );
  }
  return [...foods.values(), ...[...new Set(words)].map((each) => ({ food: null, words: each, made: false }))];
}

/** "the mango", where mango pulp is listed: by the first of its words, with "the" before, and of the same plant. */
function isShortFor(words: string, before: string, food: Food, listed: readonly Food[]): boolean {
  const plant = food.nature?.botanical ?? null;
  if (plant === null || !/\b(?:the|all the|all of the|half the|rest of the) $/i.test(before)) return false;
  const stems = words.split(" ");
  return listed.some((other) => other.nature?.botanical === plant && stems.every((stem) => nameStemsOf(other).has(stem)));
}

const natureOf = ({ origin, family, nature, allergens }: Food): string => JSON.stringify([origin, family, nature?.botanical, nature?.form, allergens]);

/** Whether all that a thing surely holds may come from these foods. */
const NUTS_UNNAMED = "named-nuts-kinds-not-said";

/** The words of a text as `known` takes them. */
export const stemsOf = (text: string): readonly string[] => wordsIn(singleSpaced(text)).map(({ stem }) => stem);

/** The words of a text with their stems and places. */
export const wordsAt = (text: string): readonly (Word & { readonly word: string })[] =>
  wordsIn(text).map((each) => ({ ...each, word: text.slice(each.at, each.end) }));
