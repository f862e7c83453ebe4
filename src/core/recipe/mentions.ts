import type { Food, Role } from "../food";

/** A thing that steps may name. */
export interface Named<Key> {
  readonly key: Key;
  /** Its names, the best first: the words of the line without its amount, the food's name and synonyms. */
  readonly names: readonly string[];
}

export interface Mention<Key> {
  readonly key: Key;
  /** As it stands in the text. */
  readonly words: string;
  readonly at: number;
}

export type FindMentions<Key> = (text: string) => Mention<Key>[];

const GENERIC = new Set([
  "fresh",
  "fine",
  "hot",
  "warm",
  "cold",
  "whole",
  "ground",
  "green",
  "white",
  "broken",
  "grated",
  "roasted",
  "slivered",
  "golden",
  "nut",
  "nuts",
  "seed",
  "seeds",
  "extract",
  "juice",
]);

/** "The sweetener" is the line of that role, where there is one alone: what several share means none of them. */
export function generalNames<Key>(lines: readonly { readonly key: Key; readonly role: Role }[]): Named<Key>[] {
  const [only, ...others] = lines.filter(({ role }) => role === "sweetener");
  return only && others.length === 0 ? [{ key: only.key, names: ["sweetener"] }] : [];
}

/** The names by which the steps may mean a line: its own words, its food's. */
export const namesOfLine = (description: string, food: Food): string[] => [
  description.split(/[,;(]/)[0] ?? description,
  food.name.split(",")[0] ?? food.name,
  ...food.synonyms,
];

/** Finds where a text names any of these, the longest name first; a word that two share is the first one's. Built once for a recipe. */
export function mentionsOf<Key>(named: readonly Named<Key>[]): FindMentions<Key> {
  const found = new Map<string, Key>();
  const add = (words: string, key: Key) => {
    const name = words.toLowerCase().trim();
    if (name.length > 2 && !GENERIC.has(name) && !found.has(name)) found.set(name, key);
  };
  for (const { key, names } of named) for (const words of names) add(words, key);
  // "Sesame seeds, white" is meant by "sesame", "golden raisins" by "raisins"; what the table calls it, by no part of that name:
  // "flour" beside a line of sattu may be another.
  for (const { key, names } of named)
    for (const words of names.slice(0, 1)) {
      const last = words
        .replace(/\b(strands?|pods?|pieces?|threads?|seeds?|powder)\b/gi, "")
        .trim()
        .split(/\s+/)
        .at(-1);
      if (last) add(singular(last), key);
    }
  const aliases = [...found].map(([words, key]) => ({ words: singular(words), key })).sort((a, b) => b.words.length - a.words.length);
  if (aliases.length === 0) return () => [];
  const keys = new Map(aliases.toReversed().map(({ words, key }) => [words, key] as const));
  const byFirstWord = new Map<string, string[]>();
  for (const { words } of aliases) {
    const [first = ""] = WORD.exec(words) ?? [];
    const others = byFirstWord.get(first);
    if (others) others.push(words);
    else byFirstWord.set(first, [words]);
  }
  return (text) => {
    const lower = lowered(text);
    const mentions: Mention<Key>[] = [];
    let after = 0;
    for (const { 0: word, index: at } of lower.matchAll(WORDS)) {
      if (at < after) continue;
      // The longest name that stands here, in the singular or the plural.
      const standing = [word, word.replace(/s$/, ""), word.replace(/es$/, "")]
        .flatMap((first) => byFirstWord.get(first) ?? [])
        .sort((a, b) => b.length - a.length)
        .map((name) => ({ name, end: endOf(name, lower, at) }))
        .find(({ end }) => end !== null);
      const key = standing && keys.get(standing.name);
      if (!standing || standing.end === null || key === undefined) continue;
      after = standing.end;
      // What it is baked in is a vessel.
      if (/^[ -]?baths?\b/i.test(text.slice(after, after + 7))) continue;
      mentions.push({ key, words: text.slice(at, standing.end), at });
    }
    return mentions;
  };
}

const singular = (words: string) => words.replace(/([^s])s$/, "$1");
const WORD = /\w+/;
const WORDS = /\w+/g;

/** A text in small letters, place for place: the few letters that would grow stay as they are. */
const lowered = (text: string): string => {
  const lower = text.toLowerCase();
  return lower.length === text.length ? lower : Array.from(text, (sign) => (sign.toLowerCase().length === sign.length ? sign.toLowerCase() : sign)).join("");
};

/** Where a name that stands at this place ends, with the ending of its plural; null where it does not stand there. */
function endOf(name: string, text: string, at: number): number | null {
  if (!text.startsWith(name, at)) return null;
  for (const ending of ["es", "s", ""]) {
    const end = at + name.length + ending.length;
    if (text.startsWith(ending, at + name.length) && !(/\w/.test(text.charAt(end - 1)) && /\w/.test(text.charAt(end)))) return end;
  }
  return null;
}
