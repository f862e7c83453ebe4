import type { Estimate } from "../numeric";
import { formatGrams } from "../units";
import type { Food, Role } from "../food";
import type { FoodMatcher } from "./match-food";
import { measureAmounts } from "./measure-amount";
import { readAmount, type LineParts } from "./read-amount";
import type { RecipeLine } from "./recipe";

export interface AmountGuess {
  readonly grams: number;
  readonly label: string;
}

/** What a line turned into. Nothing typed is lost: a line that could not be read is asked about. */
export type LineReading =
  | {
      readonly kind: "read";
      readonly line: RecipeLine;
      readonly food: Food;
      readonly grams: Estimate;
      readonly how: string;
      readonly measure: string;
      readonly role: Role;
      readonly optional: boolean;
      readonly description: string;
    }
  | { readonly kind: "food unknown"; readonly line: RecipeLine; readonly guesses: readonly Food[]; readonly description: string; readonly why: string }
  | {
      readonly kind: "amount unknown";
      readonly line: RecipeLine;
      readonly food: Food;
      readonly guesses: readonly AmountGuess[];
      readonly role: Role;
      readonly description: string;
      readonly why: string;
    }
  | { readonly kind: "left out"; readonly line: RecipeLine };

export interface ReadingContext {
  readonly foods: ReadonlyMap<string, Food>;
  readonly matcher: FoodMatcher;
  readonly familyDensity: Readonly<Partial<Record<Food["family"], number>>>;
}

/** Share of the 80 % interval of an amount set by hand: it was weighed. */
const WEIGHED_SHARE_SD = 0.015;

/** Reads one line into a food and grams, honouring what the maker settled by hand. */
export function readLine(line: RecipeLine, context: ReadingContext): LineReading {
  if (line.choice.leftOut) return { kind: "left out", line };
  const parts = readAmount(line.text);
  const matched = line.choice.foodId ? context.foods.get(line.choice.foodId) : knownFood(parts, context);
  if (!matched) {
    const match = context.matcher.match(parts.description);
    const guesses = (match.kind === "ask" ? match.guesses : [match.foodId]).flatMap((id) => context.foods.get(id) ?? []);
    const why = parts.description ? `"${parts.description}" is not a food of the tables` : "No food is named";
    return { kind: "food unknown", line, guesses, description: parts.description, why };
  }
  const role = line.choice.role ?? matched.role;
  const shared = { line, food: matched, role, description: parts.description };
  if (line.choice.grams !== undefined)
    return {
      ...shared,
      kind: "read",
      grams: { value: line.choice.grams, sd: line.choice.grams * WEIGHED_SHARE_SD },
      how: `${formatGrams(line.choice.grams)} g, set by hand`,
      measure: "",
      optional: parts.optional,
    };
  if (parts.problem) return { ...shared, kind: "amount unknown", guesses: amountGuesses(matched), why: problemWords(parts) };
  const measured = measureAmounts(parts.amounts, matched, parts.description, context.familyDensity[matched.family] ?? null);
  if (measured.kind === "unweighed") return { ...shared, kind: "amount unknown", guesses: amountGuesses(matched), why: capital(measured.why) };
  return { ...shared, kind: "read", grams: measured.grams, how: measured.how, measure: measured.measure, optional: parts.optional };
}

function knownFood(parts: LineParts, context: ReadingContext): Food | undefined {
  if (!parts.description) return undefined;
  const match = context.matcher.match(parts.description);
  return match.kind === "known" ? context.foods.get(match.foodId) : undefined;
}

function problemWords({ problem }: LineParts): string {
  switch (problem?.kind) {
    case "open":
      return `The amount is left open ("${problem.words}")`;
    case "not positive":
      return "An amount must be above zero";
    case "impossible":
      return `"${problem.words}" is not an amount: the lower figure of a fraction cannot be zero`;
    default:
      return "No amount is given";
  }
}

const GUESSES_BY_ROLE: Readonly<Partial<Record<Role, readonly (readonly [label: string, millilitres: number])[]>>> = {
  seasoning: [
    ["a pinch", 0.31],
    ["¼ tsp", 1.25],
    ["½ tsp", 2.5],
  ],
  aroma: [
    ["¼ tsp", 1.25],
    ["½ tsp", 2.5],
    ["1 tsp", 5],
  ],
  colour: [
    ["a pinch", 0.31],
    ["¼ tsp", 1.25],
    ["½ tsp", 2.5],
  ],
  richness: [
    ["1 tbsp", 15],
    ["2 tbsp", 30],
    ["¼ cup", 60],
  ],
  sweetener: [
    ["2 tbsp", 30],
    ["½ cup", 120],
    ["1 cup", 240],
  ],
  liquid: [
    ["½ cup", 120],
    ["1 cup", 240],
    ["2 cups", 480],
  ],
  crunch: [
    ["1 tbsp", 15],
    ["2 tbsp", 30],
    ["¼ cup", 60],
  ],
};

/** Amounts to offer for a line that states none; each is a question to the maker, never used in silence. */
function amountGuesses(food: Food): AmountGuess[] {
  const sizes =
    GUESSES_BY_ROLE[food.role] ??
    ([
      ["1 tbsp", 15],
      ["¼ cup", 60],
      ["1 cup", 240],
    ] as const);
  return sizes.map(([label, millilitres]) => ({ label, grams: Math.max(0.1, Math.round(millilitres * (food.density ?? 0.7) * 10) / 10) }));
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
