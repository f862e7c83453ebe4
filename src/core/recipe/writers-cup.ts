import { plainLine } from "./plain-text";
import type { RecipeLine } from "./recipe";

export interface WritersCup {
  readonly millilitres: number;
  /** The words that tell it, one for each line. */
  readonly told: readonly string[];
}

const FRACTIONS: Readonly<Record<string, number>> = { "¼": 0.25, "½": 0.5, "¾": 0.75, "⅓": 1 / 3, "⅔": 2 / 3, "⅛": 0.125 };
const COUNT = "((?<!\\d)\\d{1,6}(?:[.,]\\d{1,6})?(?: ?[¼½¾⅓⅔⅛]| \\d{1,3}/\\d{1,3})?|[¼½¾⅓⅔⅛]|(?<!\\d)\\d{1,3}/\\d{1,3})";
const CUPS = new RegExp(`${COUNT} ?(?:us |metric )?cups?\\b`, "i");
const VOLUME = new RegExp(`${COUNT} ?(ml|millilit(?:er|re)s?|l|lit(?:er|re)s?)\\b`, "i");
/** Readings of one cup may differ by this much: writers round. */
const AGREE = 0.06;

/** The writer's own cup, ml, where lines give an amount in cups and in millilitres ("500 ml (2 cups)") and agree; null where none does. */
export function writersCup(lines: readonly Pick<RecipeLine, "text">[]): WritersCup | null {
  const seen = lines.flatMap(({ text }) => {
    const plain = plainLine(text);
    const cups = CUPS.exec(plain);
    const volume = VOLUME.exec(plain);
    if (!cups || !volume || /\+|\bplus\b|\bor\b/i.test(plain)) return [];
    const litres = /^l/i.test(volume[2] ?? "");
    const one = (numberOf(volume[1] ?? "") * (litres ? 1000 : 1)) / numberOf(cups[1] ?? "");
    return Number.isFinite(one) && one >= 100 && one <= 400 ? [{ one, told: `${cups[0]} = ${volume[0]}` }] : [];
  });
  if (seen.length === 0) return null;
  const mean = seen.reduce((sum, { one }) => sum + one, 0) / seen.length;
  if (seen.some(({ one }) => Math.abs(one / mean - 1) > AGREE)) return null;
  return { millilitres: Math.round(mean), told: seen.map(({ told }) => told) };
}

function numberOf(words: string): number {
  return words
    .replace(/([¼½¾⅓⅔⅛])/g, " $1")
    .trim()
    .split(" ")
    .filter(Boolean)
    .reduce((sum, part) => {
      const [top, under] = part.split("/");
      return sum + (FRACTIONS[part] ?? (under === undefined ? Number(part.replace(",", ".")) : Number(top) / Number(under)));
    }, 0);
}
