import { plainLine, singleSpaced } from "./plain-text";
import { FRACTION_GLYPHS, isContainer, isMeasured, Scanner, type StatedAmount } from "./scan-amount";
import { OPEN } from "./vocabulary";

/** How a part of a line is joined to what stands before it. */
export type Joint = "start" | "," | "(" | "-" | "/" | "or" | "and" | "plus" | "with" | "into" | "for" | "minus";

/** A part of a line between two joints: its amounts, and the words that are none. */
export interface LinePart {
  readonly joint: Joint;
  readonly amounts: readonly StatedAmount[];
  /** The words beside the amounts, as written, single-spaced. */
  readonly words: string;
  /** All of it, as written. */
  readonly text: string;
  /** Each is meant: "2 bananas, 120 g each". */
  readonly each: boolean;
  readonly inBrackets: boolean;
  /** Where it stands in the plain line, the joint before it not counted. */
  readonly at: number;
  readonly end: number;
}

export type AmountProblem =
  | { readonly kind: "open"; readonly words: string }
  | { readonly kind: "none" }
  | { readonly kind: "not positive"; readonly words: string }
  | { readonly kind: "impossible"; readonly words: string };

/** A line taken apart, before it is known what food it is of. */
export interface LineParts {
  /** The line in plain signs. */
  readonly plain: string;
  /** The parts that say something, in order. */
  readonly parts: readonly LinePart[];
  /** What is wrong with the amount as it is written; null where nothing is. */
  readonly problem: AmountProblem | null;
  /** Words by which the amount is left open; null where it is not. */
  readonly open: string | null;
  readonly optional: boolean;
}

const OPTIONAL = /\boptional(?:ly)?\b/i;
/** "1. 1 cup sugar", "2) a pinch of salt": the number of the line in its list. */
const LIST_NUMBER = new RegExp(`^\\d{1,2}[.)] (?=[\\d${FRACTION_GLYPHS}]|an?\\b|half\\b)`, "i");
const OVER_ZERO = /(?<!\d)\d{1,9} ?\/ ?0(?![\d.])/;
const BELOW_ZERO = /^[-−–] ?(?=[\d¼½¾])/;
const JOINTS: Readonly<Record<string, Joint>> = {
  or: "or",
  and: "and",
  plus: "plus",
  with: "with",
  in: "into",
  into: "into",
  from: "into",
  for: "for",
};
const LESS = new Set(["minus", "less"]);
const EACH = /\b(?:each|apiece|per (?:piece|can|tin|packet|carton))\b/i;

/** Takes one ingredient line apart at its joints: commas, brackets, dashes, slashes, "or", "and", "with". One pass over it. */
export function linePartsOf(text: string): LineParts {
  const whole = plainLine(text);
  const optional = OPTIONAL.test(whole);
  // "As fresh as possible" is how it should be, and no part of its name.
  const plain = singleSpaced(whole.replace(/\bas \p{L}{1,16} as (?:possible|you can(?: get| find)?)\b|\(? ?\boptional\b ?\)? ?:?/giu, " "))
    .replace(/^[-–—−] /, "")
    .replace(LIST_NUMBER, "")
    // "0,5 l" is a half; "1,000 g" a thousand.
    .replace(/(?<=\d),(?=\d{3}(?!\d))/g, "")
    .replace(/(?<=\d),(?=\d{1,2}(?!\d))/g, ".");
  const below = BELOW_ZERO.test(plain);
  const overZero = OVER_ZERO.exec(plain)?.[0];
  const parts = partsOf(below ? plain.replace(BELOW_ZERO, "") : overZero === undefined ? plain : plain.replace(OVER_ZERO, "1"));
  const zero = parts.some(({ amounts }) => amounts.some(({ quantity }) => quantity <= 0));
  const problem: AmountProblem | null =
    below || zero ? { kind: "not positive", words: plain } : overZero === undefined ? null : { kind: "impossible", words: overZero };
  return { plain, parts, problem, open: OPEN.exec(plain)?.[0] ?? null, optional };
}

/** A part while it is read. */
interface Begun {
  joint: Joint;
  at: number;
  amounts: StatedAmount[];
  words: string[];
  inBrackets: boolean;
}

function partsOf(plain: string): readonly LinePart[] {
  const scanner = new Scanner(plain);
  const found: LinePart[] = [];
  let part: Begun = { joint: "start", at: 0, amounts: [], words: [], inBrackets: false };
  let depth = 0;
  const end = (joint: Joint, from: number) => {
    const words = singleSpaced(part.words.join(" ")).replace(/^of (?=\S)/i, "");
    if (words !== "" || part.amounts.length > 0)
      found.push({
        joint: part.joint,
        amounts: part.amounts,
        words,
        text: plain.slice(part.at, from).trim(),
        each: EACH.test(words),
        inBrackets: part.inBrackets,
        at: part.at,
        end: from,
      });
    part = { joint, at: scanner.at, amounts: [], words: [], inBrackets: depth > 0 };
  };
  while (scanner.at < plain.length) {
    scanner.skipSpaces();
    const start = scanner.at;
    const name = HALVES.exec(plain.slice(start, start + 16))?.[0];
    if (name !== undefined) {
      part.words.push("half and half");
      scanner.at = start + name.length;
      continue;
    }
    const amount = scanner.amount();
    if (amount) {
      part.amounts.push(amount);
      continue;
    }
    const word = scanner.word();
    if (word !== "") {
      const joint = JOINTS[word] ?? (LESS.has(word) && new Scanner(plain, scanner.at).amount() ? "minus" : undefined);
      const isEmpty = part.words.length === 0 && part.amounts.length === 0;
      const goesOn = joint !== undefined && /^ \S/.test(plain.slice(scanner.at, scanner.at + 2)) && !isSetPhrase(plain, start);
      // "To strew over": what it is for. "Up to 100 g" is an amount.
      const isPurpose =
        word === "to" && !isEmpty && part.words.at(-1) !== "up" && /^ \p{L}/u.test(plain.slice(scanner.at)) && !new Scanner(plain, scanner.at).amount();
      // "(or jaggery)", ", with ghee": the word says more than the sign before it.
      if (joint && goesOn && isEmpty && part.joint !== "start") part.joint = joint;
      else if (joint && goesOn && !isEmpty) end(joint, start);
      else if (isPurpose) {
        end("for", start);
        part.words.push(word);
      } else part.words.push(plain.slice(start, scanner.at));
      continue;
    }
    const sign = plain.charAt(start);
    scanner.at = start + 1;
    switch (sign) {
      case "(":
      case "[":
        depth++;
        end("(", start);
        break;
      case ")":
      case "]":
        // What follows a bracket goes on with what stood before it.
        if (depth > 0) {
          depth--;
          end("start", start);
          containerAfter(found, scanner);
        }
        break;
      case ",":
      case ";":
      case ":":
        end(",", start);
        break;
      case "+":
        end("plus", start);
        break;
      case "&":
        end("and", start);
        break;
      case "/":
        end("/", start);
        break;
      case "-":
      case "–":
      case "—":
        if (isSpaced(plain, start)) end("-", start);
        break;
      case ".":
        if (plain.charAt(start + 1) === "." || plain.charAt(start + 1) === " ") end(",", start);
        break;
      default:
        // Figures that are no amount belong to the words: "70%", "00".
        if (/[\d%]/.test(sign)) part.words.push(figuresAt(plain, start, scanner));
    }
  }
  end("start", plain.length);
  return joined(found);
}

/** What goes on after a bracket belongs to what stood before it: "desiccated (dried, unsweetened) coconut". */
function joined(found: readonly LinePart[]): readonly LinePart[] {
  const whole: LinePart[] = [];
  for (const part of found) {
    const at = part.joint === "start" && !part.inBrackets ? whole.findLastIndex(({ inBrackets }) => !inBrackets) : -1;
    const before = whole[at];
    if (before)
      whole[at] = {
        ...before,
        amounts: [...before.amounts, ...part.amounts],
        words: singleSpaced(`${before.words} ${part.words}`),
        text: `${before.text} ${part.text}`,
        end: part.end,
      };
    else whole.push(part);
  }
  return whole;
}

/** "2 (400 g) tins": what a count before a bracket is of may stand after it. */
function containerAfter(found: LinePart[], scanner: Scanner): void {
  const counted = found.at(-2);
  const [amount] = counted?.amounts ?? [];
  if (!counted || !amount || counted.words !== "" || amount.unit !== null || found.at(-1)?.joint !== "(") return;
  const unit = scanner.unit();
  if (unit !== null) found[found.length - 2] = { ...counted, amounts: [{ ...amount, unit }] };
}

const isSpaced = (plain: string, at: number): boolean => plain.charAt(at - 1) === " " || plain.charAt(at + 1) === " ";

function figuresAt(plain: string, start: number, scanner: Scanner): string {
  let to = start;
  while (to < plain.length && /[\d%.]/.test(plain.charAt(to))) to++;
  scanner.at = Math.max(to, start + 1);
  return plain.slice(start, scanner.at);
}

/** A kind of cream, whose name is no amount. */
const HALVES = /^half(?: and | & |-and-)half\b/i;
const SET_PHRASES = /^(?:bread and butter|in (?:half|halves|two|quarters|pieces|slices|thirds|cubes|strips)|for later|from scratch|and so on)\b/i;
const isSetPhrase = (plain: string, at: number): boolean => SET_PHRASES.test(plain.slice(at, at + 24));

/** How exact an amount is: by weight, by a volume in figures, by what a container holds, by a household's measure, by pieces, loosely. The lower the better. */
function rankOf({ unit, size }: StatedAmount): number {
  if (unit === "gram" || unit === "kilogram" || unit === "milligram") return 0;
  // "480 ml / 16 oz" of milk: ounces beside millilitres are those of a jug.
  if (unit === "ounce" || unit === "pound") return 1.5;
  if (isMeasured(unit)) return 1;
  if (size) return 2;
  if (unit === null) return 5;
  if (isContainer(unit)) return 6;
  return ["cup", "katori", "tablespoon", "teaspoon", "dessertspoon"].includes(unit) ? 3 : 4;
}

const LENGTHS = new Set(["inch", "centimeter"]);
const TOTAL = /\b(?:total|in all|altogether|together)\b/i;

/** Whether a part says an amount and nothing more than how it is meant. */
const says = (part: LinePart, isPlain: (words: string) => boolean): boolean => part.amounts.length > 0 && isPlain(part.words);

/**
 * The amount of what a line is of: of all that are stated of it the most exact, sums added up, "each" multiplied. `parts`
 * are those of that food; `isPlain` tells words that name no food. The parts whose amounts are of it come first in the line.
 */
export function amountsOf(parts: readonly LinePart[], head: LinePart, isPlain: (words: string) => boolean): readonly StatedAmount[] {
  const headAt = parts.indexOf(head);
  const own = parts.flatMap((part, at) => (part === head || says(part, isPlain) ? [{ part, at }] : []));
  /** Amounts that belong together: those joined by "plus" add up, others tell the same in another way. */
  const told: { readonly amounts: StatedAmount[]; readonly each: boolean; readonly words: string }[] = [];
  for (const { part, at } of own) {
    const amounts = part.amounts
      .filter(({ unit }) => part === head || unit === null || !LENGTHS.has(unit))
      // "Plus 6 halves": of the same thing, by its half.
      .map((amount) => (part !== head && amount.unit === null && /^halves$/i.test(part.words) ? { ...amount, unit: "half" } : amount));
    if (amounts.length === 0) continue;
    const last = told.at(-1);
    const isMore = part.joint === "plus" || (part.joint === "and" && at <= headAt);
    if (last && part.joint === "minus") last.amounts.push(...amounts.map((each) => ({ ...each, quantity: -each.quantity, upper: null })));
    else if (last && isMore) last.amounts.push(...amounts);
    else told.push({ amounts: [...amounts], each: part.each, words: part.words });
  }
  const best = told.reduce<(typeof told)[number] | null>(
    (found, each) => (found === null || Math.max(...each.amounts.map(rankOf)) < Math.max(...found.amounts.map(rankOf)) ? each : found),
    null,
  );
  if (!best) return [];
  const counted = told.find(({ amounts: [first] }) => first !== undefined && (first.unit === null || isContainer(first.unit) || first.unit === "packet"))
    ?.amounts[0];
  const [first] = best.amounts;
  if (!counted || !first || counted === first || best.amounts.length > 1 || counted.size) return best.amounts;
  // "2 tins (400 g)": each; "8 dates (160 g)": together.
  const isEach = best.each || (isContainer(counted.unit) && !TOTAL.test(best.words));
  if (!isEach || first.unit === null || !isMeasured(first.unit)) return best.amounts;
  return [
    {
      ...counted,
      unit: counted.unit ?? "piece",
      size: { quantity: first.upper === null ? first.quantity : (first.quantity + first.upper) / 2, unit: first.unit },
    },
  ];
}
