import { trimmedOf } from "./plain-text";

/** A quantity with its unit at the beginning or the end of a text, and what is left of the text. */
export interface ScannedAmount {
  /** Null where the text states no number. */
  readonly quantity: number | null;
  /** The other end of a range: "6–7", "2 to 3". */
  readonly upper: number | null;
  /** "gram", "cup", "can" …; null for a bare count. */
  readonly unit: string | null;
  readonly rest: string;
}

/** Each unit with the ways it is written, in small letters; "T" and "t" are told apart by their size. */
const UNIT_WORDS: Readonly<Record<string, string>> = {
  bag: "bag bags",
  box: "box boxes",
  bunch: "bunch bunches",
  can: "can cans tin tins",
  carton: "carton cartons",
  centiliter: "cl centiliter centiliters centilitre centilitres",
  centimeter: "cm centimeter centimeters centimetre centimetres",
  container: "container containers",
  cup: "c cup cups",
  dash: "dash dashes",
  deciliter: "dl deciliter deciliters decilitre decilitres",
  dozen: "dz dozen",
  drop: "drop drops",
  fluidounce: "floz fl-oz fluidounce fluidounces fluid-ounce fluid-ounces fl-ounce fl-ounces fluid-oz",
  gallon: "gal gallon gallons",
  gram: "g gm gms gr gram grams gramme grammes",
  handful: "handful handfuls fistful fistfuls",
  inch: "in inch inches",
  katori: "katori katoris",
  kilogram: "kg kgs kilo kilos kilogram kilograms kilogramme kilogrammes",
  knob: "knob knobs",
  ladle: "ladle ladles ladleful ladlefuls",
  liter: "l ltr liter liters litre litres",
  milligram: "mg milligram milligrams",
  milliliter: "ml milliliter milliliters millilitre millilitres",
  ounce: "oz ounce ounces",
  pack: "pack packs",
  package: "pkg pkgs package packages",
  pinch: "pinch pinches",
  pint: "pt pint pints",
  pod: "pod pods",
  pound: "lb lbs pound pounds",
  quart: "qt qts quart quarts",
  sheet: "sheet sheets",
  sprig: "sprig sprigs",
  strand: "strand strands thread threads",
  tablespoon: "tbsp tablespoon tablespoons tablespoonful tablespoonfuls",
  teaspoon: "tsp teaspoon teaspoons teaspoonful teaspoonfuls",
};
const UNITS: ReadonlyMap<string, string> = new Map(
  Object.entries(UNIT_WORDS).flatMap(([unit, written]) => written.split(" ").map((word) => [word, unit] as const)),
);
const OUNCE_WORDS = new Set(["oz", "ounce", "ounces"]);

const GLYPHS: Readonly<Record<string, number>> = {
  "¼": 1 / 4,
  "½": 1 / 2,
  "¾": 3 / 4,
  "⅐": 1 / 7,
  "⅑": 1 / 9,
  "⅒": 1 / 10,
  "⅓": 1 / 3,
  "⅔": 2 / 3,
  "⅕": 1 / 5,
  "⅖": 2 / 5,
  "⅗": 3 / 5,
  "⅘": 4 / 5,
  "⅙": 1 / 6,
  "⅚": 5 / 6,
  "⅛": 1 / 8,
  "⅜": 3 / 8,
  "⅝": 5 / 8,
  "⅞": 7 / 8,
};
/** The vulgar fractions that have a sign of their own. */
export const FRACTION_GLYPHS = Object.keys(GLYPHS).join("");
const MOST_DIGITS = 9;

const isDigit = (sign: string) => sign >= "0" && sign <= "9";
const isLetter = (sign: string) => /\p{L}/u.test(sign);

/** A reader over one text: each of its steps looks at a bounded number of characters ahead. */
class Scanner {
  constructor(
    private readonly text: string,
    public at = 0,
  ) {}

  peek(ahead = 0): string {
    return this.text.charAt(this.at + ahead);
  }
  skipSpaces(): void {
    while (this.peek() === " ") this.at++;
  }

  /** Digits at this place; null where there are none, or more than any amount has. */
  private digits(): string | null {
    let end = this.at;
    while (end - this.at <= MOST_DIGITS && isDigit(this.text.charAt(end))) end++;
    if (end === this.at || end - this.at > MOST_DIGITS) return null;
    const found = this.text.slice(this.at, end);
    this.at = end;
    return found;
  }

  /** "3/4" after its upper figure; null where no lower one follows, or it is zero. */
  private under(): number | null {
    const start = this.at;
    this.skipSpaces();
    if (this.peek() === "/" || this.peek() === "⁄") {
      this.at++;
      this.skipSpaces();
      const lower = Number(this.digits() ?? 0);
      if (lower > 0) return lower;
    }
    this.at = start;
    return null;
  }

  /** "½", or "3/4": a fraction by itself. */
  private fraction(): number | null {
    const glyph = GLYPHS[this.peek()];
    if (glyph !== undefined) {
      this.at++;
      return glyph;
    }
    const start = this.at;
    const upper = this.digits();
    const lower = upper === null ? null : this.under();
    if (upper !== null && lower !== null) return Number(upper) / lower;
    this.at = start;
    return null;
  }

  /** A number as it is written: "2", "1.5", ".5", "3/4", "½", "1½", "1 1/2", "1-1/2". */
  number(): number | null {
    const start = this.at;
    const alone = this.fraction();
    if (alone !== null) return alone;
    const whole = this.peek() === "." && isDigit(this.peek(1)) ? "0" : this.digits();
    if (whole === null) return null;
    if (this.peek() === "." && isDigit(this.peek(1))) {
      this.at++;
      const parts = this.digits();
      if (parts === null) {
        this.at = start;
        return null;
      }
      return Number(`${whole}.${parts}`);
    }
    const end = this.at;
    if (this.peek() === " " || this.peek() === "-") this.at++;
    const more = this.fraction();
    if (more !== null && more < 1) return Number(whole) + more;
    this.at = end;
    return Number(whole);
  }

  /** The other end of a range; nothing is taken where none follows. */
  upper(): number | null {
    const start = this.at;
    this.skipSpaces();
    const word = /^(?:-|–|—|to |or )/i.exec(this.text.slice(this.at, this.at + 3))?.[0];
    if (word !== undefined) {
      this.at += word.length;
      this.skipSpaces();
      const found = this.number();
      if (found !== null) return found;
    }
    this.at = start;
    return null;
  }

  /** Letters, and hyphens between them. */
  private word(): string {
    const start = this.at;
    while (isLetter(this.peek()) || (this.peek() === "-" && this.at > start && isLetter(this.peek(1)))) this.at++;
    return this.text.slice(start, this.at);
  }

  /** A unit at this place, with the dot of its short form; nothing is taken where none stands. */
  unit(): string | null {
    const start = this.at;
    this.skipSpaces();
    const word = this.word();
    if (this.peek() === ".") this.at++;
    const first = this.at;
    // "fl oz", "fluid ounces", "fl. oz."
    if (word.toLowerCase() === "fl" || word.toLowerCase() === "fluid") {
      this.skipSpaces();
      if (OUNCE_WORDS.has(this.word().toLowerCase())) {
        if (this.peek() === ".") this.at++;
        return "fluidounce";
      }
      this.at = first;
    }
    const unit = word === "T" ? "tablespoon" : word === "t" ? "teaspoon" : UNITS.get(word.toLowerCase());
    if (unit !== undefined && !isDigit(this.peek())) return unit;
    this.at = start;
    return null;
  }

  rest(): string {
    return this.text.slice(this.at);
  }
}

/** The amount that a text begins with, else the one it ends with ("Milk 500 ml"). One pass over the text. */
export function scanAmount(text: string): ScannedAmount {
  const line = text.trim();
  const first = new Scanner(line);
  const quantity = first.number();
  if (quantity !== null) {
    const upper = first.upper();
    const unit = first.unit();
    return { quantity, upper, unit, rest: withoutOf(first.rest()) };
  }
  return amountAfterOf(line) ?? amountLast(line) ?? { quantity: null, upper: null, unit: null, rest: line };
}

/** "juice of 2 oranges": the amount of what the first word is taken from. */
function amountAfterOf(line: string): ScannedAmount | null {
  const before = /^\p{L}{2,20} of /u.exec(line)?.[0];
  if (before === undefined) return null;
  const scanner = new Scanner(line, before.length);
  const quantity = scanner.number();
  if (quantity === null) return null;
  const upper = scanner.upper();
  const unit = scanner.unit();
  return { quantity, upper, unit, rest: `${before}${withoutOf(scanner.rest())}` };
}

const LAST_WORDS = 8;
const PIECES = /^ ?(?:pieces?|pcs?|nos?)\.?$/i;

/** An amount that ends the text: tried from each of its last words, the earliest first. */
function amountLast(line: string): ScannedAmount | null {
  const starts: number[] = [];
  for (let at = line.length; at > 0 && starts.length < LAST_WORDS;) {
    at = line.lastIndexOf(" ", at - 1);
    if (at < 0) break;
    starts.unshift(at + 1);
  }
  for (const start of starts) {
    const scanner = new Scanner(line, start);
    const quantity = scanner.number();
    if (quantity === null) continue;
    const upper = scanner.upper();
    const unit = scanner.unit();
    const end = scanner.rest();
    if (end.trim() === "" || (unit === null && PIECES.test(end))) return { quantity, upper, unit, rest: trimmedOf(line.slice(0, start), " -–—:,") };
  }
  return null;
}

const withoutOf = (text: string): string => {
  const rest = text.trim();
  return /^of /i.test(rest) ? rest.slice(3).trim() : rest;
};
