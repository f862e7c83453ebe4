import type { Allergen } from "../food";
import { singleSpaced } from "../recipe";
import type { Label, Packet, PacketIngredient } from "../pantry";
import { allergensNamed } from "./allergen-words";
import { readDate } from "./read-date";
import { readIngredients, type PacketWords } from "./read-ingredients";
import { DRINK_DENSITY, readNutrition } from "./read-nutrition";

/** What was understood of a packet's text. */
export interface ReadPacket {
  /** What stands above all else; null where nothing does. */
  readonly name: string | null;
  readonly ingredients: readonly PacketIngredient[];
  /** Null where no nutrition table was found. */
  readonly label: Label | null;
  readonly figures: number;
  /** g per ml where the table is by volume (rule of thumb); null where it is not. */
  readonly density: number | null;
  readonly allergens: readonly Allergen[];
  readonly traces: readonly Allergen[];
  readonly keeps: Packet["keeps"];
  /** What the maker should look at, in words. */
  readonly doubts: readonly string[];
}

/** Characters of a packet's text that are read. */
const MOST_PACKET_TEXT = 10_000;

type Kind = "ingredients" | "nutrition" | "contains" | "traces" | "dates" | "other";
/** Where a part of a packet's text begins, and what it is about. */
const BEGINS: readonly (readonly [RegExp, Kind])[] = [
  [/\bingredients?(?: list| used)?(?: \([^)\n]{0,40}\))? ?[:\-–—]|^ingredients?$|^ingredients? (?=\S[^\n]*,)/gim, "ingredients"],
  [
    /\bnutrition(?:al)?\b(?: (?:facts|information|info|values?|declaration|data|table))?|\b(?:typical|average) (?:nutritional )?values?\b|\benergy(?: value)? ?(?:\(|:|\d|[a-z]{1,5} ?\d)|\bcalories ?:? ?\d/gi,
    "nutrition",
  ],
  [/(?:^|[.;!] ?)(?:allergens?(?: (?:info(?:rmation)?|advice|declaration))?|allergy (?:advice|information)|contains?)\b/gim, "contains"],
  [
    /\b(?:may (?:also )?(?:contain|include|be present)|(?:made|produced|manufactured|packed|packaged|processed) (?:in|on) (?:a|an|the|shared|same|equipment|premises)|(?:contains )?traces? of|not suitable for|cannot (?:be )?guarantee|shared (?:line|equipment)|handles)\b/gi,
    "traces",
  ],
  [
    /\b(?:best (?:before|by|if used by)|use (?:by|before)|expir(?:y|es?)|exp\.|bbe? ?:|bb \d|consume (?:before|by)|mfg|mfd|(?:manufactured|packed|packaged|baked) on|pkd|(?:production|packing|packaging) date)/gi,
    "dates",
  ],
  [
    /(?:^|[.;] ?)(?:net (?:weight|wt|qty|quantity|contents?)|stor(?:e|age)\b|keep (?:in|cool|dry|refrigerated|frozen|away)|(?:manufactured|marketed|packed|distributed) by|batch|lot (?:no|number)|country of origin|produce of|customer care|directions|how to use|preparation|serving suggestions?|shake|once opened|after opening|refrigerate|suitable for|free from|price|mrp|fssai|lic\.? no)/gim,
    "other",
  ],
];

interface Section {
  readonly kind: Kind;
  readonly text: string;
}

/** Cuts a text where its parts begin; what stands before the first is its head. Linear in the text. */
function sectionsOf(text: string): { readonly head: string; readonly sections: readonly Section[] } {
  const marks = BEGINS.flatMap(([pattern, kind]) =>
    [...text.matchAll(pattern)].map((match) => ({ kind, at: match.index, end: match.index + match[0].length })),
  );
  const sorted = marks.sort((a, b) => a.at - b.at || b.end - a.end);
  const kept: (typeof marks)[number][] = [];
  for (const mark of sorted) if (mark.at >= (kept.at(-1)?.end ?? 0)) kept.push(mark);
  const sections = kept.map((mark, place): Section => {
    // The heading of a list is none of it; of all else it belongs to what is said.
    const from = mark.kind === "ingredients" ? mark.end : mark.at;
    return { kind: mark.kind, text: text.slice(from, kept[place + 1]?.at ?? text.length) };
  });
  return { head: text.slice(0, kept[0]?.at ?? text.length), sections };
}

const textOf = (sections: readonly Section[], kind: Kind): readonly string[] => sections.filter((each) => each.kind === kind).map((each) => each.text);

/** Amounts as tables have them, and lists do not. */
const FIGURE = /\d ?(?:g|mg|µg|kcal|kj)\b/gi;

/**
 * A list ends at an empty line, or at a full stop that begins another sentence; what goes on as a list after it ("Vit. B12,
 * milk powder, cocoa") belongs to it.
 */
function listOf(text: string): string {
  const [block = "", ...others] = text.trim().split("\n\n");
  const sentences = block.replace(/\b(min|approx|no|incl|ca|vit)\./gi, "$1 ").split(/\.(?=[ \n][A-Z*†\d]|$)/);
  const kept: string[] = [];
  for (const [place, sentence] of [...sentences, ...others].entries()) {
    if (place > 0 && (sentence.split(",").length < 3 || (sentence.match(FIGURE)?.length ?? 0) > 1)) break;
    kept.push(sentence.trim());
  }
  return kept.join(", ");
}

const NEGATED = /\b(?:no|not|free (?:from|of)|without|doesn['’]t|non|never)\b/i;
/** A form of words that packets refer to their lists by, and that names cereals without saying that they are in it. */
const REFERS = /\b(?:including|incl\.?) cereals containing gluten\b/gi;
/**
 * What a text says is in it, clause by clause, each up to the first word that denies ("contains milk, no artificial
 * colours"). What is denied may be lost with what stands behind it in the same clause; a clause ends at "but" and at
 * another "contains".
 */
const said = (text: string): readonly string[] =>
  text
    .replace(REFERS, " ")
    .split(/[.;\n!]|\bbut\b|\bhowever\b|(?=\bcontains\b)/i)
    .map((clause) => clause.split(NEGATED)[0] ?? "")
    .filter((clause) => clause.trim() !== "");
const CONTAINS = /\bcontains?\b/i;
const MAY = /\b(?:may|traces?|handles|not suitable|cannot|(?:made|produced|manufactured|packed|packaged|processed) (?:in|on)|shared)\b/i;

/** A first line that is a name: short, without figures of a table, and no sentence. */
function nameIn(head: string): string | null {
  const [line = ""] = head.trim().split("\n");
  const name = line.trim().replace(/[.:]$/, "");
  return name !== "" && name.length <= 60 && !name.includes(",") && /\p{L}{3}/u.test(name) ? name : null;
}

/** The first line or sentence, where it has no comma and a list follows it. */
const titleAbove = (head: string): string => /^[^\n,.:]{3,60}(?:\n|[.:] )(?=[^\n,]*,)/.exec(head.trimStart())?.[0] ?? "";

/** One space between words, one line break between lines, two where one was left empty. */
const spaced = (text: string): string =>
  text
    .replace(/\r\n?/g, "\n")
    .split("\n")
    .map((line) => singleSpaced(line))
    .join("\n")
    .replace(/\n{3,}/g, "\n\n");

/** Reads what a packet says, pasted as text: its list of ingredients, nutrition table, allergens, traces and date. Linear in the text. */
export function readPacket(pasted: string, by: PacketWords): ReadPacket {
  const text = spaced(pasted.slice(0, MOST_PACKET_TEXT));
  const { head, sections } = sectionsOf(text);
  const listedIn = textOf(sections, "ingredients");
  const listedAs = listedIn.map(listOf).filter((list) => list !== "");
  // Without a heading the first that lists anything is the list.
  const above = titleAbove(head);
  const unheaded = listedAs.length === 0 && head.split(",").length > 2 ? [listOf(head.trimStart().slice(above.length))] : [];
  const list = (listedAs.length > 0 ? listedAs : unheaded).join(", ");
  const { ingredients, isCut } = list === "" ? { ingredients: [], isCut: false } : readIngredients(list, by);
  // A table without a heading stands anywhere but in the list.
  const headless = unheaded.length > 0 ? above + head.trimStart().slice(above.length + (unheaded[0]?.length ?? 0)) : head;
  const unlisted = [headless, ...sections.map(({ kind, text: each }) => (kind === "ingredients" ? each.trim().slice(listOf(each).length) : each))];
  const nutrition = readNutrition(textOf(sections, "nutrition").join("\n"), text) ?? readNutrition(unlisted.join("\n"), text);
  // All that is said to be in it, wherever that stands; of what may be in it only what begins so.
  const beside = textOf(sections, "traces").flatMap((each) => each.split(/(?<=[.;\n!])/));
  const contains = [
    ...[head, ...listedIn, ...textOf(sections, "contains")].flatMap(said),
    ...textOf(sections, "other")
      .flatMap(said)
      .filter((clause) => CONTAINS.test(clause)),
    ...beside.filter((sentence) => CONTAINS.test(sentence) && !MAY.test(sentence)).flatMap(said),
  ];
  const may = beside.flatMap((each) => (/not suitable|cannot/i.test(each) ? [each] : said(each)));
  const date = readDate(textOf(sections, "dates").join("\n"));
  const allergens = [...new Set([list, ...contains].flatMap((each) => allergensNamed(each, by.find)))];
  const traces = [...new Set(may.flatMap((each) => allergensNamed(each, by.find)))].filter((each) => !allergens.includes(each));
  return {
    name: nameIn(unheaded.length > 0 ? above : head),
    ingredients,
    label: nutrition?.label ?? null,
    figures: nutrition?.figures ?? 0,
    density: nutrition?.isVolume ? DRINK_DENSITY : null,
    allergens,
    traces,
    keeps: date.keeps,
    doubts: [
      ...(nutrition?.doubts ?? []),
      ...(date.doubt === null ? [] : [date.doubt]),
      ...(isCut ? ["Only the first 80 ingredients were read: look for what else it holds."] : []),
      ...(pasted.length > MOST_PACKET_TEXT ? ["Only the first 10,000 characters were read."] : []),
    ],
  };
}
