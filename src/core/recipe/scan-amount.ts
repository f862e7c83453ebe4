import { fillingIn, type Filling } from "../units";
import {
  ABOUT_WORDS,
  A_FEW,
  CONTAINERS,
  FEW_OF,
  FILLING_WORDS,
  LOOSE_UNITS,
  NUMBER_WORDS,
  PART_WORDS,
  PIECE_WORDS,
  SIZE_WORDS,
  SIZED_LIKE,
  TIME_WORDS,
  UNIT_WORDS,
} from "./vocabulary";

/** An amount as it is stated, before it is known what food it is of. */
export interface StatedAmount {
  readonly quantity: number;
  /** The other end of a range: "6–7", "2 to 3". */
  readonly upper: number | null;
  /** "gram", "cup", "can" …; null for a bare count. */
  readonly unit: string | null;
  /** What one of them holds: "1 can (400 ml)", "two 200 ml cartons". */
  readonly size: { readonly quantity: number; readonly unit: string } | null;
  /** How the measure is filled, where that is said before it: "1 heaped tbsp". */
  readonly filling: Filling | null;
  /** Larger or smaller than usual, for measures that have no fixed size: "a big pinch". */
  readonly sized?: "large" | "small";
  /** The unit's own word, where it may belong to a food's name: "1 bottle gourd". */
  readonly written?: string;
}

const unitsOf = (words: Readonly<Record<string, string>>): ReadonlyMap<string, string> =>
  new Map(Object.entries(words).flatMap(([unit, written]) => written.split(" ").map((word) => [word, unit] as const)));
const UNITS: ReadonlyMap<string, string> = new Map([...unitsOf(UNIT_WORDS), ...unitsOf(CONTAINERS)]);
const OUNCE_WORDS = new Set(["oz", "ounce", "ounces"]);
const BEFORE_NUMBER = new Set([...ABOUT_WORDS, ...FILLING_WORDS]);
const BEFORE_UNIT = new Set([...FILLING_WORDS, ...SIZE_WORDS]);
const TIMES = new Set(TIME_WORDS);
const PIECES = new Set([...PIECE_WORDS, "half", "halves", "juice", "zest", "peel", "rind"]);
const LARGE = new Set(["large", "big", "good", "huge", "giant", "jumbo"]);
const SMALL = new Set(["small", "tiny", "little", "mini"]);
/** By weight or by a fixed volume: what a container is told to hold. */
const MEASURED = new Set(["gram", "kilogram", "milligram", "ounce", "pound", "milliliter", "liter", "deciliter", "centiliter", "fluidounce", "pint", "quart"]);
export const isContainer = (unit: string | null): boolean => unit !== null && unit in CONTAINERS;
export const isMeasured = (unit: string | null): boolean => unit !== null && MEASURED.has(unit);

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
/** "A little milk" is no one of it. */
const LEFT_OPEN = /^(?:an? |very )?(?:little|bit|some)\b/i;
const MOST_DIGITS = 9;
const MOST_WORDS_BETWEEN = 3;

const isDigit = (sign: string) => sign >= "0" && sign <= "9";
const isLetter = (sign: string) => /[\p{L}\p{M}]/u.test(sign);

/** A reader over one text: each of its steps looks at a bounded number of characters ahead. */
export class Scanner {
  constructor(
    readonly text: string,
    public at = 0,
  ) {}

  peek(ahead = 0): string {
    return this.text.charAt(this.at + ahead);
  }
  skipSpaces(): void {
    while (this.peek() === " ") this.at++;
  }
  /** Does this, and takes nothing where it comes to nothing. */
  private attempt<T>(read: () => T | null): T | null {
    const start = this.at;
    const found = read();
    if (found === null) this.at = start;
    return found;
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
  private under = (): number | null =>
    this.attempt(() => {
      this.skipSpaces();
      if (this.peek() !== "/" && this.peek() !== "⁄") return null;
      this.at++;
      this.skipSpaces();
      const lower = Number(this.digits() ?? 0);
      return lower > 0 ? lower : null;
    });

  /** "½", or "3/4": a fraction by itself. */
  private fraction(): number | null {
    const glyph = GLYPHS[this.peek()];
    if (glyph !== undefined) {
      this.at++;
      return glyph;
    }
    return this.attempt(() => {
      const upper = this.digits();
      const lower = upper === null ? null : this.under();
      return upper === null || lower === null ? null : Number(upper) / lower;
    });
  }

  /** A number in figures: "2", "1.5", ".5", "3/4", "½", "1½", "1 1/2", "1-1/2". */
  figure = (): number | null =>
    this.attempt(() => {
      const alone = this.fraction();
      if (alone !== null) return alone;
      const whole = this.peek() === "." && isDigit(this.peek(1)) ? "0" : this.digits();
      if (whole === null) return null;
      if (this.peek() === "." && isDigit(this.peek(1))) {
        this.at++;
        const parts = this.digits();
        return parts === null ? null : Number(`${whole}.${parts}`);
      }
      const more = this.attempt(() => {
        if (this.peek() === " " || this.peek() === "-") this.at++;
        const found = this.fraction();
        return found !== null && found < 1 ? found : null;
      });
      return Number(whole) + (more ?? 0);
    });

  /** Letters at this place, as one word in small letters; "" where there are none. A hyphen ends it. */
  word(): string {
    const start = this.at;
    while (isLetter(this.peek()) || (this.at > start && (this.peek() === "'" || this.peek() === "’") && isLetter(this.peek(1)))) this.at++;
    return this.text.slice(start, this.at).toLowerCase();
  }
  /** The word that comes next; taken where it is one of these. */
  private take(words: { has(word: string): boolean }): string | null {
    return this.attempt(() => {
      this.skipSpaces();
      const word = this.word();
      return word !== "" && words.has(word) ? word : null;
    });
  }
  private takes = (...words: readonly string[]): boolean => this.take(new Set(words)) !== null;

  /** A number in words, with what it is of: "two", "a", "half a", "three quarters of a", "a dozen", "one and a half". */
  private counted = (): number | null =>
    this.attempt(() => {
      const part = this.take({ has: (word) => word in PART_WORDS });
      if (part !== null) {
        this.afterPart();
        return this.times(PART_WORDS[part] ?? 1);
      }
      const word = this.take({ has: (each) => each in NUMBER_WORDS || each === "a" || each === "an" });
      // "Two-milk pudding", "a la": no number of anything.
      if (word === null || (this.peek() === "-" && this.unitAhead() === null)) return null;
      const whole = NUMBER_WORDS[word] ?? 1;
      const of = this.take({ has: (each) => each in PART_WORDS });
      if (of !== null) {
        this.afterPart();
        return whole * (PART_WORDS[of] ?? 1);
      }
      const half = this.attempt(() => (this.takes("and") && (this.takes("a"), this.takes("half")) ? 0.5 : null));
      return whole + (half ?? 0);
    });
  /** "half a dozen". */
  private times(part: number): number {
    return this.takes("dozen") ? part * 12 : part;
  }
  /** "of a", "a" after a part of one. */
  private afterPart(): void {
    this.attempt(() => (this.takes("of") && this.takes("a", "an", "one", "the") ? true : null));
    this.takes("a", "an", "one", "the");
  }
  /** "a few", "few". */
  private few = (): boolean => this.attempt(() => (this.takes("a"), this.takes("few") ? true : null)) === true;

  /** A number in figures or words. */
  number(): number | null {
    this.skipSpaces();
    const figure = this.figure();
    if (figure === null) return this.counted();
    return (
      this.attempt(() => (this.takes("dozen") ? 12 * figure : null)) ??
      figure + (this.attempt(() => (this.takes("and") && (this.takes("a"), this.takes("half")) ? 0.5 : null)) ?? 0)
    );
  }

  /** The other end of a range; nothing is taken where none follows. */
  upper = (): number | null =>
    this.attempt(() => {
      this.skipSpaces();
      const word = /^(?:-|–|—|to |or )/i.exec(this.text.slice(this.at, this.at + 3))?.[0];
      if (word === undefined) return null;
      this.at += word.length;
      this.skipSpaces();
      return this.figure() ?? this.attempt(() => NUMBER_WORDS[this.word()] ?? null);
    });

  /** A unit at this place, with the dot of its short form; nothing is taken where none stands. */
  unit = (): string | null =>
    this.attempt(() => {
      this.skipSpaces();
      if (this.peek() === "-" && isLetter(this.peek(1))) this.at++;
      const start = this.at;
      const word = this.word();
      const written = this.text.slice(start, this.at);
      if (this.peek() === ".") this.at++;
      // "fl oz", "fluid ounces", "fl. oz."
      if (word === "fl" || word === "fluid") {
        const ounces = this.attempt(() => {
          this.skipSpaces();
          if (this.peek() === "-") this.at++;
          return OUNCE_WORDS.has(this.word()) ? true : null;
        });
        if (ounces) {
          if (this.peek() === ".") this.at++;
          return "fluidounce";
        }
      }
      const unit = written === "T" ? "tablespoon" : written === "t" ? "teaspoon" : UNITS.get(word);
      return unit !== undefined && !isDigit(this.peek()) ? unit : null;
    });

  private isFigure(): boolean {
    this.skipSpaces();
    return isDigit(this.peek()) || this.peek() in GLYPHS;
  }
  private unitAhead(): string | null {
    const start = this.at;
    const unit = this.unit();
    this.at = start;
    return unit;
  }

  /** What is said before a number or a unit, of these. */
  private said(words: ReadonlySet<string>): readonly string[] {
    const said: string[] = [];
    for (let i = 0; i < MOST_WORDS_BETWEEN; i++) {
      const word = this.take(words);
      if (word === null) break;
      if (this.peek() === "-") this.at++;
      said.push(word);
    }
    return said;
  }

  /** An amount that begins at this place; null, and nothing taken, where none does. */
  amount = (): StatedAmount | null =>
    this.attempt(() => {
      this.skipSpaces();
      const start = this.at;
      const isFirst = start === 0 || !isLetter(this.text.charAt(start - 1));
      if (this.peek() === "~" || this.peek() === "≈") this.at++;
      if (LEFT_OPEN.test(this.text.slice(this.at, this.at + 16))) return null;
      // "A scant ¼ cup", "a good 200 g".
      this.attempt(() => (this.takes("a", "an", "the") && this.said(BEFORE_UNIT).length > 0 && this.isFigure() ? true : null));
      const before = this.said(BEFORE_NUMBER);
      if (this.few()) return this.afterFew();
      const quantity = this.number() ?? this.loose(before);
      if (quantity === null || !isFirst) return null;
      // "70 %", "3.5% milk": a share, no amount.
      if (this.attempt(() => (this.skipSpaces(), this.peek() === "%" ? true : null))) return null;
      const upper = this.upper();
      const inner = this.inner();
      if (inner) return { quantity, upper, ...inner, filling: null };
      const like = this.likeSize();
      const between = this.attempt(() => {
        if (like !== null) return null;
        const said = this.said(BEFORE_UNIT);
        const from = this.at;
        const unit = this.unit();
        return unit === null ? null : { said, unit, written: this.text.slice(from, this.at).trim() };
      });
      if (this.attempt(() => this.take(TIMES))) return null;
      const unit = between?.unit ?? like ?? this.unknownUnit();
      // "Half and half", "cut in half": no number of anything.
      if (unit === null && isLetter(this.text.charAt(start)) && !/^ (?!and\b)\p{L}/iu.test(this.text.slice(this.at, this.at + 5))) return null;
      const words = [...before, ...(between?.said ?? [])];
      const sized = words.some((word) => LARGE.has(word)) ? "large" : words.some((word) => SMALL.has(word)) ? "small" : undefined;
      return {
        quantity,
        upper,
        unit,
        size: null,
        filling: fillingIn(words.join(" ")),
        ...(sized && unit !== null ? { sized } : {}),
        ...(between && !isMeasured(unit) ? { written: between.written } : {}),
      };
    });

  /** "A grating of nutmeg", "a lump of jaggery": a measure that is none of the usual, by its own word. Pieces are counted. */
  private unknownUnit = (): string | null =>
    this.attempt(() => {
      this.skipSpaces();
      const word = this.word();
      if (word.length < 3 || PIECES.has(word) || !/^ of \p{L}/u.test(this.text.slice(this.at, this.at + 5))) return null;
      if (word in SIZED_LIKE) return `${word}-sized`;
      return word.length > 4 ? word.replace(/s$/, "") : word;
    });

  /** "Lemon-sized ball of": what a lump is as large as. */
  private likeSize = (): string | null =>
    this.attempt(() => {
      const like = this.take({ has: (word) => word in SIZED_LIKE });
      if (like === null) return null;
      this.skipSpaces();
      if (this.peek() === "-") this.at++;
      if (!this.takes("sized", "size")) return null;
      this.takes("ball", "piece", "lump", "knob", "bit", "chunk", "balls", "pieces", "lumps");
      return `${like}-sized`;
    });

  /** "Handful", "pinch" without a number is one of them. */
  private loose(before: readonly string[]): number | null {
    const start = this.at;
    const said = this.said(BEFORE_UNIT);
    const unit = this.likeSize() ?? this.unit();
    this.at = start;
    if (unit?.endsWith("-sized")) return 1;
    return unit !== null && (LOOSE_UNITS.has(unit) || (before.length + said.length > 0 && [...before, ...said].some((word) => FILLING_WORDS.includes(word))))
      ? 1
      : null;
  }

  /** "A few strands": as many as are counted; of all else a few are asked about. */
  private afterFew(): StatedAmount | null {
    const unit = this.unit() ?? this.unitSoon();
    return unit !== null && FEW_OF.has(unit) ? { quantity: A_FEW[0], upper: A_FEW[1], unit, size: null, filling: null } : null;
  }

  /** "A few mint leaves": a unit that ends the name, and stays in it. */
  private unitSoon(): string | null {
    const start = this.at;
    let unit: string | null = null;
    for (let i = 0; i < MOST_WORDS_BETWEEN && unit === null; i++) {
      this.skipSpaces();
      if (this.word() === "") break;
      unit = this.unit();
    }
    this.at = start;
    return unit;
  }

  /** What each of so many holds: "× 400 ml tins", "200 ml cartons" after a number. */
  private inner = (): Pick<StatedAmount, "unit" | "size"> | null =>
    this.attempt(() => {
      this.skipSpaces();
      const sign = this.peek();
      const isTimes = (sign === "x" || sign === "×" || sign === "*") && !isLetter(this.peek(1));
      if (isTimes) this.at++;
      this.skipSpaces();
      // "1 1/2" was taken as one number before: what follows here is another.
      this.said(BEFORE_NUMBER);
      const quantity = this.figure();
      if (quantity === null || quantity <= 0) return null;
      const unit = this.unit();
      if (unit === null || !isMeasured(unit)) return null;
      return { unit: "container", size: { quantity, unit } };
    });
}
