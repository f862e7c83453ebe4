import type { Food } from "../food";

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
  // "Sesame seeds, white" is meant by "sesame", "golden raisins" by "raisins".
  for (const { key, names } of named)
    for (const words of names.slice(0, 2)) {
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
  const pattern = new RegExp(`\\b(${aliases.map(({ words }) => escape(words)).join("|")})(?:e?s)?\\b`, "gi");
  return (text) =>
    [...text.matchAll(pattern)].flatMap((match) => {
      const key = keys.get((match[1] ?? "").toLowerCase());
      return key === undefined ? [] : [{ key, words: match[0], at: match.index }];
    });
}

const singular = (words: string) => words.replace(/([^s])s$/, "$1");
const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
