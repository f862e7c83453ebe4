import { parseIngredient } from "parse-ingredient";
import { fillingIn, type Filling } from "../units";

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

const unit = (short: string, plural: string, alternates: string[] = []) => ({ short, plural, alternates, type: "other" as const });
const OWN_UNITS = {
  handful: unit("handful", "handfuls", ["fistful", "fistfuls"]),
  strand: unit("strand", "strands", ["thread", "threads"]),
  pod: unit("pod", "pods"),
  sheet: unit("sheet", "sheets", ["leaves of"]),
  knob: unit("knob", "knobs"),
  tin: unit("tin", "tins"),
  katori: unit("katori", "katoris"),
  ladle: unit("ladle", "ladles", ["ladleful", "ladlefuls"]),
  liter: { short: "l", plural: "liters", alternates: ["litre", "litres", "L", "ltr"], type: "volume" as const },
  milliliter: { short: "ml", plural: "milliliters", alternates: ["millilitre", "millilitres", "mL", "ML"], type: "volume" as const },
  gram: { short: "g", plural: "grams", alternates: ["gm", "gms", "gr", "gramme", "grammes"], type: "mass" as const },
  kilogram: { short: "kg", plural: "kilograms", alternates: ["kgs", "kilo", "kilos"], type: "mass" as const },
};
const SAME_UNIT: Readonly<Record<string, string>> = { tin: "can", fluidounce: "fluidounce", "fluid ounce": "fluidounce" };

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
const ABOUT = /^(?:about|approx(?:imately)?|around|roughly|generous|heaped|heaping|rounded|scant|level|levelled|packed|loosely packed|loose)\s+/i;
/** "a quarter cup", "three quarters of a cup", "half a cup", "a dozen": counts in words, the first that fits. */
const COUNTS_IN_WORDS: readonly (readonly [RegExp, string])[] = [
  [/^(?:three|3) quarters?\s+(?:of\s+)?(?:an?\s+)?/i, "3/4 "],
  [/^(?:an?\s+|one\s+)?quarter\s+(?:of\s+)?(?:an?\s+)?/i, "1/4 "],
  [/^(?:an?\s+|one\s+)?third\s+(?:of\s+)?(?:an?\s+)?/i, "1/3 "],
  [/^two thirds\s+(?:of\s+)?(?:an?\s+)?/i, "2/3 "],
  [/^half\s+(?:an?\s+)?dozen\s+(?:of\s+)?/i, "6 "],
  [/^(?:an?\s+|one\s+|1\s+)?dozen\s+(?:of\s+)?/i, "12 "],
  [/^two dozen\s+(?:of\s+)?/i, "24 "],
  [/^half an?\s+/i, "1/2 "],
];
const OPEN =
  /\b(as (?:needed|required|desired)|to taste|as per taste|for (?:frying|greasing|garnish(?:ing)?|serving|decoration)|(?:a (?:little|few|bit)|some|enough)(?: more)?|^more(?= \w)|(?:enough )?to (?:bind|the colou?r you like)|till it binds)\b/i;
const OPTIONAL = /\boptional\b/i;
const FILLED =
  /^(?:[\d\s./¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞-]+|an?\s+|one\s+|two\s+|three\s+|half an?\s+|about\s+)*\s*(generous|heaped|heaping|rounded|level|levelled|scant|packed|loosely packed|loose)\s/i;
const FRACTION_GLYPHS = "¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞";
/** "1. 1 cup sugar", "2) a pinch of salt": the number of the line in its list. */
const LIST_NUMBER = new RegExp(`^\\d{1,2}[.)]\\s+(?=[\\d${FRACTION_GLYPHS}]|an?\\b|half\\b)`, "i");
const SLASHED = new RegExp(
  `^([\\d.${FRACTION_GLYPHS}][\\d\\s.${FRACTION_GLYPHS}]*\\p{L}+)\\s*/\\s*([\\d.${FRACTION_GLYPHS}][\\d\\s.${FRACTION_GLYPHS}]*\\p{L}+)\\s+`,
  "u",
);
const AMOUNT_LAST = new RegExp(`^(\\p{L}[\\p{L}\\s()'’-]*?)\\s*[-–—:,]\\s*((?:an?|half|one|two|three|[\\d${FRACTION_GLYPHS}]).*)$`, "iu");

/** A line without markup, bullets and pictographs; words and figures stay as they were typed. */
export function plainLine(text: string): string {
  return text
    .replace(/<[^>]*>/g, " ")
    .replace(/&nbsp;/g, " ")
    .replace(/&amp;/g, "&")
    .replace(/[\p{Extended_Pictographic}\uFE0F\u200D]/gu, " ")
    .replace(/^[\s•·*▢□◦‣⁃–—-]+(?=\s|[\d\p{L}¼½¾⅓⅔⅛])(?!\d)/u, "")
    .replace(/\s+/g, " ")
    .trim();
}

/** "Salt, a pinch" and "Ghee – ½ cup" with the amount first; other lines as they are. */
function otherWay(line: string): string {
  const [, food, amount] = line.match(AMOUNT_LAST) ?? [];
  if (food === undefined || amount === undefined) return line;
  // All of the tail is an amount where nothing is left of it but what it is of.
  const [read] = parse(`${wordsToNumbers(amount)} of it`);
  return read?.quantity != null && /^(?:of )?it$/.test(read.description.trim()) ? `${amount} ${food}` : line;
}

/** Splits one ingredient line into its amount, what is wrong with it, and the description of the food. */
export function readAmount(text: string): LineParts {
  const plain = plainLine(text);
  const optional = OPTIONAL.test(plain);
  let line = otherWay(
    plain
      .replace(/\(?\s*optional\s*\)?\s*:?/gi, " ")
      .replace(/^[-–—−]\s+/, "")
      .replace(LIST_NUMBER, "")
      // "0,5 l" is a half; "1,000 g" a thousand.
      .replace(/(\d),(\d{3})(?!\d)/g, "$1$2")
      .replace(/(\d),(\d{1,2})(?!\d)/g, "$1.$2")
      // "100 g / 3.5 oz": one amount in two measures.
      .replace(SLASHED, "$1 ($2) ")
      .trim(),
  );

  if (/^[-−–]\s*[\d¼½¾]/.test(line))
    return { amounts: [], problem: { kind: "not positive", words: line }, description: foodWords(line.replace(/^[-−–]\s*/, "")), optional };
  if (/\d+\s*\/\s*0(?!\d)/.test(line))
    return {
      amounts: [],
      problem: { kind: "impossible", words: line.match(/\d+\s*\/\s*0/)?.[0] ?? line },
      description: foodWords(line.replace(/\d+\s*\/\s*0/, "1")),
      optional,
    };

  let size: StatedAmount["size"] = null;
  line = line
    .replace(/\(([^)]*)\)/g, (_, inner: string) => {
      const [first] = parse(`${inner} of it`);
      if (!size && first?.quantity && first.unitOfMeasureID) size = { quantity: first.quantity, unit: ownUnit(first.unitOfMeasureID) };
      return " ";
    })
    .replace(/\s+/g, " ")
    .trim();
  line = line.replace(/^(\d+)\s*[x×]\s*(\d+)\s*(g|ml|kg|l)\b/i, (_, count: string, amount: string, of: string) => `${Number(count) * Number(amount)} ${of}`);
  // "1 heaped tbsp", "heaped tbsp": the word stands before the measure; after it it belongs to the food.
  const filling = fillingIn(line.match(FILLED)?.[1] ?? "");
  line = wordsToNumbers(line);

  const sum = line.match(new RegExp(`^([\\d\\s./${FRACTION_GLYPHS}]+\\p{L}+)\\s*(?:\\+|plus|and)\\s+([\\d${FRACTION_GLYPHS}].*)$`, "iu"));
  const parts = sum ? [`${sum[1]} of`, sum[2] ?? ""] : [line];
  const amounts: StatedAmount[] = [];
  let description = "";
  for (const part of parts) {
    const [read] = parse(part);
    if (!read) continue;
    description = read.description;
    if (read.quantity === null) continue;
    amounts.push({ quantity: read.quantity, upper: read.quantity2, unit: read.unitOfMeasureID ? ownUnit(read.unitOfMeasureID) : null, size, filling });
  }
  if (!description) description = line;
  const open = line.match(OPEN);
  if (amounts.length === 0)
    return { amounts, problem: open ? { kind: "open", words: open[0] } : { kind: "none" }, description: describe(description), optional };
  if (amounts.some((amount) => amount.quantity <= 0))
    return { amounts: [], problem: { kind: "not positive", words: plain }, description: describe(description), optional };
  return { amounts, problem: null, description: describe(description), optional };
}

const parse = (text: string) =>
  parseIngredient(text, { normalizeUOM: true, additionalUOMs: OWN_UNITS, ignoreUOMs: ["ear", "head", "large", "medium", "small", "stick", "clove", "piece"] });
const foodWords = (text: string) => describe(parse(text)[0]?.description ?? text);
const ownUnit = (id: string) => SAME_UNIT[id] ?? id;
const OPEN_EVERYWHERE = new RegExp(OPEN.source, "gi");
const describe = (text: string) =>
  text
    .replace(OPEN_EVERYWHERE, " ")
    .replace(/^\s*(of|x)\s+/i, "")
    .replace(/\s+/g, " ")
    .replace(/^[\s,:–-]+|[\s,:–-]+$/g, "");

function wordsToNumbers(text: string): string {
  const bare = text.replace(ABOUT, "");
  const [pattern, count] = COUNTS_IN_WORDS.find(([each]) => each.test(bare)) ?? [];
  return (pattern && count !== undefined ? bare.replace(pattern, count) : bare)
    .replace(/^(\w+) and (?:a|one) half\b/i, (all, word: string) => (WORD_NUMBERS[word.toLowerCase()] ? `${WORD_NUMBERS[word.toLowerCase()]} 1/2` : all))
    .replace(
      /^(an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|half)\s+(?!little\b|few\b|bit\b)/i,
      (_, word: string) => `${WORD_NUMBERS[word.toLowerCase()]} `,
    )
    .replace(
      /^([\d\s./¼½¾⅓⅔⅛]+?)\s+(?:generous|big|small|large|heaped|heaping|rounded|level|levelled|scant|packed|loosely packed|loose)\s+(handful|pinch|cup|katori|tbsp|tsp|tablespoon|teaspoon|ladle)/i,
      "$1 $2",
    );
}
