import { fillingIn, type Filling } from "../units";
import { piecesBetween, plainLine, singleSpaced, trimmedOf } from "./plain-text";
import { FRACTION_GLYPHS, scanAmount } from "./scan-amount";

/** The amount a line states, before it is known what food it is of. */
export interface StatedAmount {
  readonly quantity: number;
  readonly upper: number | null;
  /** Our unit: "gram", "cup", "handful", "strand" …; null for a bare count. */
  readonly unit: string | null;
  /** A measure in brackets, as the size of the can: "1 can (400 ml)". */
  readonly size: { readonly quantity: number; readonly unit: string } | null;
  /** How the measure is filled, where the line says so before it: "1 heaped tbsp". */
  readonly filling: Filling | null;
}

export type AmountProblem =
  | { readonly kind: "open"; readonly words: string }
  | { readonly kind: "none" }
  | { readonly kind: "not positive"; readonly words: string }
  | { readonly kind: "impossible"; readonly words: string };

export interface LineParts {
  readonly amounts: readonly StatedAmount[];
  readonly problem: AmountProblem | null;
  /** What is left once the amount is taken out: the food and its forms. */
  readonly description: string;
  readonly optional: boolean;
}

const WORD_NUMBERS: Readonly<Record<string, string>> = {
  a: "1",
  an: "1",
  one: "1",
  two: "2",
  three: "3",
  four: "4",
  five: "5",
  six: "6",
  seven: "7",
  eight: "8",
  nine: "9",
  ten: "10",
  twelve: "12",
  half: "1/2",
};
const FILLED_WORDS = "generous|heaped|heaping|rounded|scant|level|levelled|packed|loosely packed|loose";
const ABOUT = new RegExp(`^(?:about|approx(?:imately)?|around|roughly|${FILLED_WORDS}) `, "i");
/** "a quarter cup", "three quarters of a cup", "half a cup", "a dozen": counts in words, the first that fits. */
const COUNTS_IN_WORDS: readonly (readonly [RegExp, string])[] = [
  [/^(?:three|3) quarters? (?:of )?(?:an? )?/i, "3/4 "],
  [/^(?:an? |one )?quarter (?:of )?(?:an? )?/i, "1/4 "],
  [/^(?:an? |one )?third (?:of )?(?:an? )?/i, "1/3 "],
  [/^two thirds (?:of )?(?:an? )?/i, "2/3 "],
  [/^half (?:an? )?dozen (?:of )?/i, "6 "],
  [/^(?:an? |one |1 )?dozen (?:of )?/i, "12 "],
  [/^two dozen (?:of )?/i, "24 "],
  [/^half an? /i, "1/2 "],
];
const OPEN =
  /\b(as (?:needed|required|desired)|to taste|as per taste|for (?:frying|greasing|garnish(?:ing)?|serving|decoration)|(?:a (?:little|few|bit)|some|enough)(?: more)?|^more(?= \w)|(?:enough )?to (?:bind|the colou?r you like)|till it binds)\b/i;
const OPTIONAL = /\boptional\b/i;
/** "1. 1 cup sugar", "2) a pinch of salt": the number of the line in its list. */
const LIST_NUMBER = new RegExp(`^\\d{1,2}[.)] (?=[\\d${FRACTION_GLYPHS}]|an?\\b|half\\b)`, "i");
const SLASHED = new RegExp(
  `^([\\d.${FRACTION_GLYPHS}][\\d .${FRACTION_GLYPHS}]*\\p{L}+) ?/ ?([\\d.${FRACTION_GLYPHS}][\\d .${FRACTION_GLYPHS}]*\\p{L}+) `,
  "u",
);
const FOOD_FIRST = /^\p{L}[\p{L} ()'’]*/u;
const AMOUNT_LAST = new RegExp(`^ ?[-–—:,] ?(?=(?:an?|half|one|two|three|[\\d${FRACTION_GLYPHS}]))`, "iu");
const OVER_ZERO = /(?<!\d)\d{1,9} ?\/ ?0(?!\d)/;
const BELOW_ZERO = /^[-−–] ?(?=[\d¼½¾])/;

/** "Salt, a pinch" and "Ghee – ½ cup" with the amount first; other lines as they are. */
function otherWay(line: string): string {
  const words = FOOD_FIRST.exec(line)?.[0] ?? "";
  if (!words) return line;
  // The sign between may be a hyphen within the food's own name: the first one with an amount behind it counts.
  for (let at = words.trimEnd().length; at < line.length; at++) {
    const sign = AMOUNT_LAST.exec(line.slice(at, at + 16))?.[0];
    if (sign !== undefined) {
      const amount = line.slice(at + sign.length);
      // All of the tail is an amount where nothing is left of it but what it is of.
      const { quantity, rest } = scanAmount(`${wordsToNumbers(amount)} of it`);
      return quantity !== null && rest === "it" ? `${amount} ${line.slice(0, at)}` : line;
    }
    if (!/[\p{L} ()'’-]/u.test(line.charAt(at))) return line;
  }
  return line;
}

/** Takes out what stands in brackets; the first measure in them is the size of what is counted. */
function withoutBrackets(line: string): { readonly line: string; readonly size: StatedAmount["size"] } {
  let size: StatedAmount["size"] = null;
  const told = piecesBetween(line, "(", ")").map(({ text, inside }) => {
    if (!inside) return text;
    const { quantity, unit } = scanAmount(`${text} of it`);
    if (!size && quantity && unit) size = { quantity, unit };
    return " ";
  });
  return { line: singleSpaced(told.join("")), size };
}

/** The two amounts of "1 cup + 2 tbsp sugar", the second with all that follows it; null where the line is no such sum. */
function summed(line: string): readonly [string, string] | null {
  const first = scanAmount(line);
  if (first.quantity === null || first.unit === null) return null;
  const sign = /^(?:\+|plus |and ) ?/i.exec(first.rest)?.[0];
  const second = sign === undefined ? "" : first.rest.slice(sign.length);
  if (sign === undefined || !new RegExp(`^[\\d${FRACTION_GLYPHS}]`).test(second)) return null;
  return [line.slice(0, line.length - first.rest.length), second];
}

const COUNT_WORDS = new Set(["a", "an", "one", "two", "three", "half", "about"]);
const FILLED = new RegExp(`^(?:${FILLED_WORDS}) `, "i");
const A_COUNT = new RegExp(`^[\\d./${FRACTION_GLYPHS}-]+$`);
/** How the measure is filled, where the line says so before it: "1 heaped tbsp". After the measure the word belongs to the food. */
function fillingBefore(line: string): Filling | null {
  let at = 0;
  for (let end = line.indexOf(" "); end > 0; end = line.indexOf(" ", at)) {
    const found = FILLED.exec(line.slice(at, at + 20))?.[0];
    if (found !== undefined) return fillingIn(found);
    const word = line.slice(at, end);
    if (!COUNT_WORDS.has(word.toLowerCase()) && !A_COUNT.test(word)) return null;
    at = end + 1;
  }
  return null;
}

/** Splits one ingredient line into its amount, what is wrong with it, and the description of the food. */
export function readAmount(text: string): LineParts {
  const plain = plainLine(text);
  const optional = OPTIONAL.test(plain);
  const bare = singleSpaced(plain.replace(/\(? ?\boptional\b ?\)? ?:?/gi, " "))
    .replace(/^[-–—−] /, "")
    .replace(LIST_NUMBER, "")
    // "0,5 l" is a half; "1,000 g" a thousand.
    .replace(/(?<=\d),(?=\d{3}(?!\d))/g, "")
    .replace(/(?<=\d),(?=\d{1,2}(?!\d))/g, ".")
    // "100 g / 3.5 oz": one amount in two measures.
    .replace(SLASHED, "$1 ($2) ");
  const stated = otherWay(bare);

  if (BELOW_ZERO.test(stated))
    return { amounts: [], problem: { kind: "not positive", words: stated }, description: foodWords(stated.replace(BELOW_ZERO, "")), optional };
  const overZero = OVER_ZERO.exec(stated)?.[0];
  if (overZero !== undefined)
    return { amounts: [], problem: { kind: "impossible", words: overZero }, description: foodWords(stated.replace(OVER_ZERO, "1")), optional };

  const { line: unbracketed, size } = withoutBrackets(stated);
  const multiplied = unbracketed.replace(
    /^(\d{1,4}) ?[x×] ?(\d{1,6}) ?(g|ml|kg|l)\b/i,
    (_, count: string, amount: string, of: string) => `${Number(count) * Number(amount)} ${of}`,
  );
  const filling = fillingBefore(multiplied);
  const line = wordsToNumbers(multiplied);

  const amounts: StatedAmount[] = [];
  let description = "";
  for (const part of summed(line) ?? [line]) {
    const { quantity, upper, unit, rest } = scanAmount(part);
    description = rest;
    if (quantity !== null) amounts.push({ quantity, upper, unit, size, filling });
  }
  if (!description) description = line;
  const open = OPEN.exec(line)?.[0];
  if (amounts.length === 0)
    return { amounts, problem: open === undefined ? { kind: "none" } : { kind: "open", words: open }, description: describe(description), optional };
  if (amounts.some((amount) => amount.quantity <= 0))
    return { amounts: [], problem: { kind: "not positive", words: plain }, description: describe(description), optional };
  return { amounts, problem: null, description: describe(description), optional };
}

const foodWords = (text: string) => describe(scanAmount(text).rest);
const OPEN_EVERYWHERE = new RegExp(OPEN.source, "gi");
const describe = (text: string) => trimmedOf(singleSpaced(text.replace(OPEN_EVERYWHERE, " ")).replace(/^(?:of|x) /i, ""), " ,:–-");

const NUMBER_WORD = new RegExp(`^(${Object.keys(WORD_NUMBERS).join("|")}) (?!little\\b|few\\b|bit\\b)`, "i");
const AND_A_HALF = /^([a-z0-9]{1,9}) and (?:a|one) half\b/i;
const SIZED = new RegExp(`^(?:generous|big|small|large|${FILLED_WORDS}) (?=(?:handful|pinch|cup|katori|tbsp|tsp|tablespoon|teaspoon|ladle))`, "i");

function wordsToNumbers(text: string): string {
  const bare = text.replace(ABOUT, "");
  const [pattern, count] = COUNTS_IN_WORDS.find(([each]) => each.test(bare)) ?? [];
  const counted = (pattern && count !== undefined ? bare.replace(pattern, count) : bare)
    .replace(AND_A_HALF, (all, word: string) => (WORD_NUMBERS[word.toLowerCase()] ? `${WORD_NUMBERS[word.toLowerCase()]} 1/2` : all))
    .replace(NUMBER_WORD, (_, word: string) => `${WORD_NUMBERS[word.toLowerCase()]} `);
  const number = /^[\d ./¼½¾⅓⅔⅛]+/.exec(counted)?.[0] ?? "";
  return number.endsWith(" ") ? number + counted.slice(number.length).replace(SIZED, "") : counted;
}
