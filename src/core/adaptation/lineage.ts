import type { EvaluationInput, KeptFigures } from "../evaluate";
import type { Recipe } from "../recipe";
import { formatGrams } from "../units";

/** A line as two things are held against each other by it. */
export interface ComparedLine {
  /** What pairs it with a line of the other: a recipe's line by its id, an added food by its food. */
  readonly key: string;
  readonly name: string;
  readonly foodId: string;
  readonly grams: number;
}

export interface LineDifference {
  readonly kind: "added" | "left out" | "replaced" | "amount";
  readonly before: ComparedLine | null;
  readonly after: ComparedLine | null;
}

/** Amounts closer than this, as a share, are the same. */
const SAME = 0.005;

/** What changed from one list of lines to another, in the order of the first, what is new last. */
export function lineDifferences(before: readonly ComparedLine[], after: readonly ComparedLine[]): LineDifference[] {
  const left = new Map(after.map((line) => [line.key, line] as const));
  const changes = before.flatMap((line): LineDifference[] => {
    const other = left.get(line.key);
    left.delete(line.key);
    if (!other) return [{ kind: "left out", before: line, after: null }];
    if (other.foodId !== line.foodId) return [{ kind: "replaced", before: line, after: other }];
    return Math.abs(other.grams - line.grams) > SAME * Math.max(line.grams, 0.01) ? [{ kind: "amount", before: line, after: other }] : [];
  });
  return [...changes, ...[...left.values()].map((line): LineDifference => ({ kind: "added", before: null, after: line }))];
}

/** One difference in words: "sugar 203 g, now dates 150 g". */
export function differenceWords({ kind, before, after }: LineDifference): string {
  const told = (line: ComparedLine | null) => (line ? `${line.name.toLowerCase()} ${formatGrams(line.grams)} g` : "");
  switch (kind) {
    case "added":
      return `${told(after)}, new`;
    case "left out":
      return `${told(before)}, left out`;
    case "replaced":
      return `${told(before)}, now ${told(after)}`;
    case "amount":
      return `${told(before)}, now ${formatGrams(after?.grams ?? 0)} g`;
  }
}

/** A kept version in its line of descent; `kept` as its reader writes moments. */
export interface LineageVersion {
  readonly id: string;
  readonly label: string;
  readonly kept: string;
  /** The version it was worked on from; null where from the recipe. */
  readonly parentId: string | null;
  readonly why: string;
  readonly whom: string;
  /** Null where what is stored of it cannot be read. */
  readonly servings: number | null;
  /** What is known of it at its table, in few words. */
  readonly fit: string;
  /** What changed from what it was worked on from, in words. */
  readonly changes: readonly string[];
}

/** A recipe as it was, until a moment. */
export interface LineageRevision {
  readonly revision: number;
  readonly until: string;
  readonly recipe: Recipe;
  /** What is different in the recipe as it stands now. */
  readonly changes: readonly string[];
}

/** One of the things held side by side. */
export interface Compared {
  /** "now" for the recipe as it stands, else a version's id. */
  readonly id: string;
  readonly name: string;
  /** Under the name: for whom, or why. */
  readonly about: string;
  readonly servings: number;
  readonly figures: KeptFigures;
  readonly input: EvaluationInput;
  readonly lines: readonly ComparedLine[];
}
