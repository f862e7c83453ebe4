/** A piece of a text: what stood between two signs, or what stood outside them. */
export interface Piece {
  readonly text: string;
  readonly inside: boolean;
}

/**
 * Splits a text at what stands between two signs ("(" and ")", "<" and ">"), in one pass: an opening sign that is never
 * closed is text like any other, and inside a pair a second opening sign counts for nothing.
 */
export function piecesBetween(text: string, open: string, close: string): readonly Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  for (let at = text.indexOf(open); at >= 0; at = text.indexOf(open, from)) {
    const end = text.indexOf(close, at + open.length);
    if (end < 0) break;
    if (at > from) pieces.push({ text: text.slice(from, at), inside: false });
    pieces.push({ text: text.slice(at + open.length, end), inside: true });
    from = end + close.length;
  }
  if (from < text.length) pieces.push({ text: text.slice(from), inside: false });
  return pieces;
}

/** A text without markup: each tag is a space. */
export const withoutTags = (text: string): string =>
  text.includes("<")
    ? piecesBetween(text, "<", ">")
        .map((piece) => (piece.inside ? " " : piece.text))
        .join("")
    : text;

/** White space run together to single spaces, none at either end. */
export const singleSpaced = (text: string): string => text.replace(/\s+/g, " ").trim();

/** A text without these signs at its ends. */
export function trimmedOf(text: string, signs: string): string {
  let from = 0;
  let to = text.length;
  while (from < to && signs.includes(text.charAt(from))) from++;
  while (to > from && signs.includes(text.charAt(to - 1))) to--;
  return text.slice(from, to);
}

const NAMED_SIGNS: Readonly<Record<string, string>> = {
  nbsp: " ",
  amp: "&",
  frac12: "½",
  frac14: "¼",
  frac34: "¾",
  ndash: "–",
  mdash: "—",
  times: "×",
  deg: "°",
  quot: '"',
  apos: "'",
  rsquo: "’",
  eacute: "é",
  egrave: "è",
};
/** Signs that a page writes by name or number. */
const withSigns = (text: string): string =>
  text.includes("&")
    ? text.replace(/&(?:([a-z]{2,6}\d{0,2})|#(\d{1,6}));/gi, (all, name: string | undefined, code: string | undefined) =>
        name === undefined ? String.fromCodePoint(Math.min(Number(code), 0x10ffff)) : (NAMED_SIGNS[name.toLowerCase()] ?? all),
      )
    : text;

/** The zeros of the digits of other scripts, each followed by the nine others. */
const ZEROS = [0x0660, 0x06f0, 0x0966, 0x09e6, 0x0a66, 0x0ae6, 0x0b66, 0x0be6, 0x0c66, 0x0ce6, 0x0d66];
const WIDE = 0xfee0;
/** Digits of any script as 0 to 9, and wide letters as plain ones. */
const withPlainDigits = (text: string): string =>
  text
    .replace(/[\uFF01-\uFF5E]/g, (sign) => String.fromCharCode(sign.charCodeAt(0) - WIDE))
    .replace(/(?![0-9])\p{Nd}/gu, (digit) => {
      const zero = ZEROS.find((each) => digit.charCodeAt(0) >= each && digit.charCodeAt(0) < each + 10);
      return zero === undefined ? digit : String(digit.charCodeAt(0) - zero);
    });

/** A line without markup, bullets and pictographs; words and figures stay as they were typed, digits of other scripts as 0 to 9. */
export function plainLine(text: string): string {
  const plain = withPlainDigits(withSigns(withoutTags(text))).replace(/[\p{Extended_Pictographic}\uFE0F\u200D]/gu, " ");
  return singleSpaced(plain.replace(/^[\s•·*▢□◦‣⁃–—-]+(?=\s|[\d\p{L}¼½¾⅓⅔⅛])(?!\d)/u, ""));
}

/**
 * Whether a text has what the first pattern finds and, after it in the same sentence, what the second one does. Each is
 * looked for once, so that the time grows with the text alone, which one pattern with anything in between would not keep to.
 */
export const inOrder =
  (first: RegExp, ...then: readonly RegExp[]) =>
  (text: string): boolean =>
    text.split(".").some((sentence) => {
      let rest = sentence;
      for (const pattern of [first, ...then]) {
        const found = pattern.exec(rest);
        if (!found) return false;
        rest = rest.slice(found.index + found[0].length);
      }
      return true;
    });
