import type { Additive, PacketIngredient, PacketMeaning, PacketTables } from "../pantry";
import { isPlainWord, singleSpaced, stemsOf, trimmedOf, type FoodFinder, type FoodMatcher } from "../recipe";
import { isAllergenWord } from "./allergen-words";

/** What the words of a packet are read by. */
export interface PacketWords {
  readonly matcher: FoodMatcher;
  readonly find: FoodFinder;
  readonly tables: PacketTables;
}

/** What additives are there for, as packets print it before their names. */
const CLASSES =
  "emulsif(?:ier|ying agent)|stabili[sz](?:er|ing agent)|thicken(?:er|ing agent)|gelling agent|acidity regulator|acid(?:ulant)?|raising agent|leavening(?: agent)?|colou?r(?:ing)?s?(?: food)?|preservative|anti-?oxidant|sweeten(?:er|ing agent)|flavou?r enhancer|anti-?caking agent|humectant|glazing agent|firming agent|bulking agent|flour treatment agent|improver|sequestrant|carrier|propellant|coagulant|foaming agent|vit(?:amin)?s?|minerals?|enriched with|fortified with|raising agents?";
const CLASS = new RegExp(
  `^(?:permitted |natural |class (?:i|ii) |and |added |synthetic |contains )*(?:${CLASSES})(?:s|\\(s\\))?(?: (?:(?:and|&) )?(?:${CLASSES})(?:s|\\(s\\))?)?(?: ?[:\\-–] ?| |$)`,
  "i",
);
const CODE = /^(?:e|ins)[\s.-]?(\d{3,4})\s?([a-f])?$/i;
const BARE_CODE = /^(\d{3,4})\s?([a-f])?$/i;
/** Roman numerals behind a number tell its kinds: "322(i)". */
const KIND = /(\d{3,4}[a-f]?)\s?\((?:i{1,3}|iv|vi{0,2}|ix|x)\)/gi;
const PERCENT = /(?:min(?:imum|\.)? ?|about |at least )?(\d{1,3}(?:[.,]\d{1,2})?) ?%(?: ?(?:min(?:imum|\.)?|approx\.?|w\/w))?/i;
/** What packets say of an ingredient that no rule asks about. */
const PRAISE =
  /\b(?:himalayan|celtic|organic(?:ally grown)?|bio|certified|fair ?-?trade|sustainabl[ey](?: sourced)?|rainforest|non[- ]?gmo|gmo[- ]free|gluten[- ]free|vegan|vegetarian|premium|selected|pure|natural|real|from (?:concentrate|[a-z]+ farming)|(?:origin|product|produce) of [a-z]+|in varying proportions?|in variable proportions?|halal|kosher|edible|permitted|food grade|iodi[sz]ed|minimally processed|pasteurised|pasteurized|homogeni[sz]ed|partially reconstituted|reconstituted|low[- ]sodium|unrefined|cold[- ]pressed|contains?)\b/gi;
const LESS_THAN = /^(?:and )?(?:contains? )?(?:less than |up to |≤ ?)?\d+(?:[.,]\d+)? ?%(?: or less)? of(?: each of)?(?: the following)?\s*:?\s*/i;
const FLAVOURED = /\b(?:flavou?rs?|flavou?rings?|aromas?)$/i;
const MOST_INGREDIENTS = 80;
const MOST_DEPTH = 3;

const OPEN = "([{";
const CLOSE = ")]}";

/** Parts of a list, at its commas and semicolons outside of brackets; linear. A bracket that is never closed runs to the end. */
function listed(text: string): readonly string[] {
  const parts: string[] = [];
  let [depth, from] = [0, 0];
  for (let at = 0; at < text.length; at++) {
    const sign = text.charAt(at);
    if (OPEN.includes(sign)) depth++;
    else if (CLOSE.includes(sign)) depth = Math.max(0, depth - 1);
    // A comma between digits is a decimal one.
    else if (depth === 0 && /[,;•·|\n]/.test(sign) && !(sign === "," && /\d/.test(text.charAt(at - 1)) && /\d/.test(text.charAt(at + 1)))) {
      parts.push(text.slice(from, at));
      from = at + 1;
    }
  }
  parts.push(text.slice(from));
  return parts.map((part) => part.trim()).filter((part) => /[\p{L}\d]/u.test(part));
}

interface Bracketed {
  readonly head: string;
  readonly inner: readonly string[];
}

/** What stands outside of brackets, and in each of the outermost. */
function bracketed(text: string): Bracketed {
  let [head, depth, from] = ["", 0, 0];
  const inner: string[] = [];
  for (let at = 0; at < text.length; at++) {
    const sign = text.charAt(at);
    if (OPEN.includes(sign)) {
      if (depth === 0) from = at + 1;
      depth++;
    } else if (CLOSE.includes(sign)) {
      if (depth === 1) inner.push(text.slice(from, at));
      depth = Math.max(0, depth - 1);
    } else if (depth === 0) head += sign;
  }
  if (depth > 0) inner.push(text.slice(from));
  return { head: head.replace(/\s+/g, " ").trim(), inner };
}

const cleaned = (text: string) =>
  text
    .toLowerCase()
    .replace(/[*†‡¹²³°^®™]|\b\d\)/g, "")
    .replace(/\s+/g, " ")
    .trim();
const plain = (text: string): string => trimmedOf(cleaned(text), " .:–-");

const byName = new WeakMap<PacketTables, ReadonlyMap<string, Additive>>();
function additivesByName(tables: PacketTables): ReadonlyMap<string, Additive> {
  const known = byName.get(tables);
  if (known) return known;
  const made = new Map<string, Additive>();
  for (const additive of tables.additives.values())
    for (const name of [additive.code, additive.name, ...additive.synonyms]) if (!made.has(plain(name))) made.set(plain(name), additive);
  byName.set(tables, made);
  return made;
}

function codeMeant(words: string, tables: PacketTables, isBare: boolean): PacketMeaning | undefined {
  const match = CODE.exec(words) ?? (isBare ? BARE_CODE.exec(words) : null);
  if (!match) return undefined;
  const [number, letter] = [match[1] ?? "", (match[2] ?? "").toLowerCase()];
  const names = additivesByName(tables);
  const found = names.get(`e${number}${letter}`) ?? names.get(`e${number}`) ?? (letter === "" ? names.get(`e${number}a`) : undefined);
  return found ? { kind: "additive", code: found.code } : null;
}

/** What an ingredient's words stand for; null where that has to be asked. `isBare`: after the name of a class, a number is an additive's. */
export function meaningOf(words: string, by: PacketWords, isBare = false): PacketMeaning {
  const text = plain(words);
  if (text === "") return null;
  const code = codeMeant(text, by.tables, isBare);
  if (code !== undefined) return code;
  const additive = additivesByName(by.tables).get(text);
  if (additive) return { kind: "additive", code: additive.code };
  // "Orange flavour" is none of the orange.
  const flavouring = FLAVOURED.test(text) ? additivesByName(by.tables).get("flavouring") : undefined;
  if (flavouring) return { kind: "additive", code: flavouring.code };
  const food = by.tables.names.get(text) ?? by.matcher.known(text);
  if (food !== null) return { kind: "food", id: food };
  const without = plain(text.replace(PRAISE, " "));
  if (without !== text && without !== "") return meaningOf(without, by, isBare);
  // Foods known by what they are made of alone.
  const named = by.find(text).filter(({ meant }) => meant);
  const [only] = named;
  if (!only || new Set(named.map(({ food: { id } }) => id)).size !== 1) return null;
  const rest = stemsOf(`${text.slice(0, only.at)} ${text.slice(only.end)}`);
  return rest.every(isPlainWord) ? { kind: "food", id: only.food.id } : null;
}

/** "Vit. B12" is the vitamin. */
const inFull = (words: string): string => words.replace(/^vits?\b/i, "vitamin");

/** Brackets that list nothing: what it is praised for, an allergen's name behind what holds it. */
const saysNothing = (inner: string): boolean =>
  plain(inner.replace(PERCENT, "").replace(PRAISE, " ")).replace(/[,;]/g, "").trim() === "" || listed(inner).every((each) => isAllergenWord(plain(each)));

/** The ingredients of a list as printed, in its order, each with what it stands for; cut where there are more than anybody lists. */
export function readIngredients(text: string, by: PacketWords): { readonly ingredients: readonly PacketIngredient[]; readonly isCut: boolean } {
  const found: PacketIngredient[] = [];
  let isCut = false;
  /** `of` is what it is listed behind: "vegetable oil (palm)" is palm oil, "vitamins (B12)" the vitamin. */
  const meant = (words: string, isBare: boolean, of: string): PacketMeaning => {
    const noun = stemsOf(of).at(-1) ?? "";
    return meaningOf(words, by, isBare) ?? (noun === "" ? null : (meaningOf(`${words} ${noun}`, by, isBare) ?? meaningOf(`${noun} ${words}`, by, isBare)));
  };
  const isUnderstood = (part: string): boolean => saysNothing(part) || meaningOf(part, by) !== null || by.find(part).some(({ meant: isMeant }) => isMeant);
  const readList = (list: string, depth: number, isBare: boolean, of = ""): void => {
    for (const item of listed(list)) {
      isCut ||= found.length >= MOST_INGREDIENTS;
      if (!isCut) readItem(item, depth, isBare, of);
    }
  };
  const readItem = (item: string, depth: number, isBare: boolean, of: string): void => {
    const told = item.replace(LESS_THAN, "").trim();
    const { head, inner } = bracketed(told);
    const classed = CLASS.exec(head);
    if (classed) {
      const rest = head.slice(classed[0].length).trim();
      // "Emulsifier (322, 471)", "raising agents: sodium bicarbonate": the class itself is none.
      if (rest === "" && inner.length > 0) return inner.forEach((each) => readList(each, depth, true, inFull(head)));
      if (rest === "") return void found.push({ words: head, percent: null, depth, means: meaningOf(head, by) });
      if (meaningOf(head, by) === null)
        return readItem(
          told.slice(told.toLowerCase().indexOf(classed[0].trim().toLowerCase()) + classed[0].trim().length),
          depth,
          true,
          inFull(trimmedOf(classed[0], " :–-")),
        );
    }
    const inHead = PERCENT.exec(head)?.[1];
    // A percentage in a bracket that lists others is one of theirs.
    const own = inHead ?? inner.find((each) => PERCENT.test(each) && listed(each).length === 1 && saysNothing(each))?.match(PERCENT)?.[1];
    const percent = own === undefined ? null : Number(own.replace(",", "."));
    const words = trimmedOf(singleSpaced(head.replace(PERCENT, " ").replace(/[*†‡]+/g, "")), " .:–-");
    if (words === "") return inner.filter((each) => !saysNothing(each)).forEach((each) => readList(each, depth, isBare, of));
    const means = meant(words, isBare, of);
    // "Wheat flour (maida)": another name of the same.
    const isSame = (each: string) => means?.kind === "food" && JSON.stringify(meaningOf(each, by)) === JSON.stringify(means);
    const lists = inner.filter((each) => !saysNothing(each) && !isSame(each));
    if (means === null && lists.length === 0) {
      const several = words.split(/ (?:and|&|plus) | ?\+ ?/);
      if (several.length > 1 && several.every((each) => meant(each, isBare, of) !== null)) return several.forEach((each) => readItem(each, depth, isBare, of));
    }
    // What an additive is made of stands with it: "lecithin (soya)".
    const source = means?.kind === "additive" && lists.length > 0 ? meaningOf(`${lists.join(" ")} ${words}`, by) : null;
    found.push({
      words: (means?.kind === "additive" && lists.length > 0 ? `${words} (${lists.join(", ")})` : words).slice(0, 120),
      percent: percent !== null && percent > 0 && percent <= 100 ? percent : null,
      depth: Math.min(depth, MOST_DEPTH),
      means: source ?? means,
    });
    if (means?.kind !== "additive") for (const each of lists) readList(each, depth + 1, isBare, words);
    // What stands behind an additive and is not understood is asked beside it.
    else if (source === null) for (const each of lists) if (!listed(each).every((part) => isUnderstood(part))) readList(each, depth, isBare, words);
  };
  readList(text.replace(KIND, "$1"), 0, false);
  return { ingredients: found, isCut };
}
