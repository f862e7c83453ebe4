import { type Result, fail, succeed } from "../numeric";
import { plainLine, readAmount } from "./read-amount";
import type { Recipe } from "./recipe";

export type PasteProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "too long"; readonly lines: number; readonly most: number }
  | { readonly kind: "long line"; readonly line: number; readonly characters: number; readonly most: number }
  | { readonly kind: "no ingredients" };

export const MOST_LINES = 100;
const MOST_TEXT_LINES = 400;
const MOST_CHARACTERS = 2000;
const DEFAULT_SERVINGS = 6;

const INGREDIENTS_HEAD = /^(ingredients?|you (will )?need|what you need)\b[^.]*:?$/i;
const STEPS_HEAD = /^(method|steps?|directions?|instructions?|preparation|how to make.*|procedure)\s*:?$/i;
const YIELD =
  /^(?:(?:serves?|servings?|makes?|yields?|portions?|for)\b\s*:?\s*(?:about\s*)?(\d+)(?:\s*(?:-|–|to)\s*\d+)?(?:\s*(?:people|persons?|servings?|portions?|bowls?|cups|pieces?|helpings?))?|(\d+)\s*(?:servings?|portions?|bowls?|helpings?))\s*\.?$/i;
const NUMBERED = /^(?:step\s*)?\d+\s*[.):]\s+(?=\S)/i;
const ANY_NUMBER = /\d/;

/** The servings a yield states ("Serves 6", "6 servings", 6), or null. */
export function readServings(text: string): number | null {
  const trimmed = text.trim();
  if (/^\d+(\.\d+)?$/.test(trimmed)) return Number(trimmed);
  const match = trimmed.match(YIELD);
  const found = match?.[1] ?? match?.[2] ?? trimmed.match(/(\d+)\s*(?:servings?|portions?|bowls?|people|persons?)/i)?.[1];
  return found ? Number(found) : null;
}

/**
 * Reads a recipe pasted as plain text: title, yield, ingredient lines, steps, with or without headings. Without headings
 * a line is a step where it is numbered or long, or comes after the steps began. Fails with what is wrong and how much.
 */
export function readRecipeText(text: string): Result<Recipe, PasteProblem> {
  const rows = text
    .split(/\r?\n/)
    .map((row) => row.replace(/<br\s*\/?>/gi, " "))
    .map((row) => ({ raw: row.trim(), plain: plainLine(row) }))
    .filter((row) => row.plain);
  if (rows.length === 0) return fail({ kind: "empty" });
  if (rows.length > MOST_TEXT_LINES) return fail({ kind: "too long", lines: rows.length, most: MOST_TEXT_LINES });

  const long = rows.findIndex((row) => row.raw.length > MOST_CHARACTERS);
  if (long >= 0) return fail({ kind: "long line", line: long + 1, characters: rows[long]?.raw.length ?? 0, most: MOST_CHARACTERS });

  let title: string | null = null;
  let servings: number | null = null;
  let section: "unknown" | "ingredients" | "steps" = "unknown";
  const ingredients: string[] = [];
  const steps: string[] = [];
  for (const { raw, plain } of rows) {
    if (INGREDIENTS_HEAD.test(plain)) {
      section = "ingredients";
      continue;
    }
    if (STEPS_HEAD.test(plain)) {
      section = "steps";
      continue;
    }
    const stated = YIELD.test(plain) ? readServings(plain) : null;
    if (stated !== null) {
      servings ??= stated;
      continue;
    }
    if (title === null && section === "unknown" && ingredients.length === 0 && !startsWithAmount(plain)) {
      title = plain;
      continue;
    }
    if (section === "unknown" && ingredients.length > 0 && (NUMBERED.test(plain) || looksLikeStep(plain))) section = "steps";
    if (section === "steps") {
      steps.push(plain.replace(NUMBERED, ""));
      continue;
    }
    if (/:$/.test(plain) && !ANY_NUMBER.test(plain)) continue;
    ingredients.push(raw);
  }
  if (ingredients.length === 0) return fail({ kind: "no ingredients" });
  if (ingredients.length > MOST_LINES) return fail({ kind: "too long", lines: ingredients.length, most: MOST_LINES });
  return succeed({
    title: title ?? "Untitled sweet",
    servings: servings && servings > 0 ? servings : DEFAULT_SERVINGS,
    lines: ingredients.map((line, i) => ({ id: `l${i + 1}`, text: line, choice: {} })),
    steps,
    evaporation: null,
    archetype: null,
  });
}

const startsWithAmount = (plain: string) => {
  const parts = readAmount(plain);
  return parts.amounts.length > 0 && parts.description !== plain;
};
const looksLikeStep = (plain: string) => plain.split(" ").length > 9 || (/[.!]$/.test(plain) && plain.split(" ").length > 4 && !startsWithAmount(plain));
