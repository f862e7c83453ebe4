import type { Learned } from "./learned";

/** What was learned of a quantity, as a working tells it: "1.12 × the table, by 3 batches here"; empty where nothing was. */
export function learnedWords(learned: Learned, key: string): string {
  const own = learned[key];
  return own ? `${Math.exp(own.ln).toFixed(2)} × the table, by ${own.batches === 1 ? "a batch" : `${own.batches} batches`} here` : "";
}
