import type { Estimate } from "../numeric";
import { formatGrams, formatNumber, type HouseholdMeasures, capital } from "../units";
import type { Food, Role } from "../food";
import type { PantryTables } from "../pantry";
import type { FoodMatcher } from "./match-food";
import { measureAmounts } from "./measure-amount";
import { besideIn, type Beside, type FoodFinder } from "./named-foods";
import { RECIPE_LIMITS } from "./limits";
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
      /** Water that comes with it, where it is measured as cooked; `grams` are the food before. */
      readonly water?: Estimate;
      readonly how: string;
      readonly measure: string;
      readonly role: Role;
      readonly optional: boolean;
      readonly description: string;
      readonly beside: Beside;
    }
  | {
      readonly kind: "food unknown";
      readonly line: RecipeLine;
      readonly guesses: readonly Food[];
      readonly description: string;
      readonly why: string;
      readonly beside: Beside;
    }
  | {
      readonly kind: "amount unknown";
      readonly line: RecipeLine;
      readonly food: Food;
      readonly guesses: readonly AmountGuess[];
      readonly role: Role;
      readonly description: string;
      readonly beside: Beside;
      readonly why: string;
    }
  | { readonly kind: "left out"; readonly line: RecipeLine };

export interface ReadingContext {
  readonly foods: ReadonlyMap<string, Food>;
  readonly matcher: FoodMatcher;
  /** Finds what a text names beside: the same foods, and those known by what they are made of alone. */
  readonly find: FoodFinder;
  readonly familyDensity: Readonly<Partial<Record<Food["family"], number>>>;
  readonly measures: HouseholdMeasures;
  /** What foods pressed in a recipe are made by. */
  readonly tables: PantryTables;
}

/** Share of the 80 % interval of an amount set by hand: it was weighed. */
const WEIGHED_SHARE_SD = 0.015;

/** Reads one line into a food and grams, honouring what the maker settled by hand. */
export function readLine(line: RecipeLine, context: ReadingContext): LineReading {
  if (line.choice.leftOut) return { kind: "left out", line };
  if (line.text.length > RECIPE_LIMITS.lineCharacters)
    return {
      kind: "food unknown",
      line,
      guesses: [],
      description: "",
      beside: { foods: [], words: [], choice: false, ground: false },
      why: `The line is longer than ${formatNumber(RECIPE_LIMITS.lineCharacters)} characters`,
    };
  const parts = readAmount(line.text);
  const settled = line.choice.foodId ? context.foods.get(line.choice.foodId) : undefined;
  const unknown = () => besideIn(line.text, null, false, context.find);
  const choices = settled ? [] : alternatives(parts.description, context);
  if (choices.length > 1)
    return { kind: "food unknown", line, guesses: choices, description: parts.description, beside: unknown(), why: `A choice is left: “${parts.description}”` };
  const only = settled ? null : namedOnly(parts, context);
  const matched = settled ?? (only ? undefined : knownFood(parts, context));
  if (!matched) {
    const match = context.matcher.match(parts.description);
    const guesses = (match.kind === "ask" ? match.guesses : [match.foodId]).flatMap((id) => context.foods.get(id) ?? []);
    const why = only
      ? `${only.name}: known by what it is made of, not by its figures`
      : parts.description
        ? `"${parts.description}" is not a food of the tables`
        : "No food is named";
    return { kind: "food unknown", line, guesses, description: parts.description, beside: unknown(), why };
  }
  const role = line.choice.role ?? matched.role;
  const beside = besideIn(line.text, matched, settled !== undefined, context.find);
  const shared = { line, food: matched, role, description: parts.description, beside };
  if (line.choice.grams !== undefined)
    return {
      ...shared,
      kind: "read",
      grams: { value: line.choice.grams, sd: line.choice.grams * WEIGHED_SHARE_SD },
      how: `${formatGrams(line.choice.grams)} g, set by hand`,
      measure: "",
      optional: parts.optional,
    };
  if (parts.problem) return { ...shared, kind: "amount unknown", guesses: amountGuesses(matched, context.measures), why: problemWords(parts) };
  const measured = measureAmounts(parts.amounts, matched, parts.description, context.familyDensity[matched.family] ?? null, context.measures);
  if (measured.kind === "unweighed")
    return {
      ...shared,
      kind: "amount unknown",
      guesses: measured.guess ? [measured.guess] : amountGuesses(matched, context.measures),
      why: capital(measured.why),
    };
  return {
    ...shared,
    kind: "read",
    grams: measured.grams,
    how: measured.how,
    measure: measured.measure,
    optional: parts.optional,
    ...(measured.water && { water: measured.water }),
  };
}

const MOST_ALTERNATIVES = 8;

/** The foods of "milk or water": each side must be a food by itself. */
function alternatives(description: string, context: ReadingContext): Food[] {
  const sides = description.split(/ or /i);
  if (sides.length < 2 || sides.length > MOST_ALTERNATIVES) return [];
  const foods = sides.flatMap((side) => {
    const match = context.matcher.match(side);
    return match.kind === "known" ? (context.foods.get(match.foodId) ?? []) : [];
  });
  return foods.length === sides.length ? [...new Set(foods)] : [];
}

/** The food that a description begins with, where it is known by what it is made of alone ("almond milk powder"). */
function namedOnly({ description }: LineParts, { find, foods }: ReadingContext): Food | null {
  const [head = ""] = description.split(/[,;(]| - | – /);
  const named = find(head).filter(({ meant }) => meant);
  const [first] = named;
  return first && named.every(({ food }) => !foods.has(food.id)) ? first.food : null;
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

/** Amounts to offer by role, as a count of a household measure. */
type Offer = readonly [label: string, count: number, measure: "cup" | "tablespoon" | "teaspoon"];
const PINCH: Offer = ["a pinch", 1 / 16, "teaspoon"];
const QUARTER_SPOON: Offer = ["¼ tsp", 1 / 4, "teaspoon"];
const HALF_SPOON: Offer = ["½ tsp", 1 / 2, "teaspoon"];
const SPOON: Offer = ["1 tbsp", 1, "tablespoon"];
const SPOONS: Offer = ["2 tbsp", 2, "tablespoon"];
const QUARTER: Offer = ["¼ cup", 1 / 4, "cup"];
const HALF: Offer = ["½ cup", 1 / 2, "cup"];
const CUP: Offer = ["1 cup", 1, "cup"];
const OFFERS_BY_ROLE: Readonly<Partial<Record<Role, readonly Offer[]>>> = {
  seasoning: [PINCH, QUARTER_SPOON, HALF_SPOON],
  aroma: [QUARTER_SPOON, HALF_SPOON, ["1 tsp", 1, "teaspoon"]],
  colour: [PINCH, QUARTER_SPOON, HALF_SPOON],
  richness: [SPOON, SPOONS, QUARTER],
  sweetener: [SPOONS, HALF, CUP],
  liquid: [HALF, CUP, ["2 cups", 2, "cup"]],
  crunch: [SPOON, SPOONS, QUARTER],
};

/** Amounts to offer for a line that states none; each is a question to the maker, never used in silence. */
function amountGuesses(food: Food, measures: HouseholdMeasures): AmountGuess[] {
  const offers = OFFERS_BY_ROLE[food.role] ?? [SPOON, QUARTER, CUP];
  return offers.map(([label, count, measure]) => ({
    label,
    grams: Math.max(0.1, Math.round(count * measures[measure] * (food.density ?? 0.7) * 10) / 10),
  }));
}
