import type { Estimate } from "../numeric";
import { formatGrams, formatNumber, capital } from "../units";
import type { Food, Role } from "../food";
import { amountGuesses, type AmountGuess } from "./amount-guesses";
import { foodOf, headOf, isPlainText } from "./line-food";
import { amountsOf, linePartsOf, type AmountProblem } from "./line-parts";
import { isDescribing } from "./match-food";
import { COOKED, measureAmounts } from "./measure-amount";
import { besideIn, type Beside } from "./beside";
import { nameStemsOf, stemsOf } from "./named-foods";
import { RECIPE_LIMITS } from "./limits";
import type { ReadingContext } from "./reading-context";
import type { StatedAmount } from "./scan-amount";
import { CONTAINERS } from "./vocabulary";
import { linesApart, type Recipe, type RecipeLine } from "./recipe";

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
      /** How many cans, jars or other containers it takes; absent where it is measured otherwise. */
      readonly containers?: number;
      readonly role: Role;
      readonly optional: boolean;
      readonly description: string;
      readonly beside: Beside;
      /** Where more foods stand in it with amounts of their own: all of them, each as a line of its own. */
      readonly apart?: readonly string[];
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
      readonly apart?: readonly string[];
      readonly why: string;
    }
  | { readonly kind: "left out"; readonly line: RecipeLine };

/** Share of the 80 % interval of an amount set by hand: it was weighed. */
const WEIGHED_SHARE_SD = 0.015;

/** "Some honey", "each ginger": how much, not what. */
const HOW_MANY = /^(?:(?:some|each|enough|(?:an? )?(?:few|little|bit)|of) )+/i;

/** What parts a line may stand in a name as well: "kokum & date chutney". */
const JOINT_IN_NAME = /[&/+()]|\b(?:and|or|with|for|in|plus)\b/i;
const joinedNames = new WeakMap<ReadonlyMap<string, Food>, readonly (readonly [name: string, food: Food])[]>();

/** The food that a line calls by a name with a joint in it, where it names nothing else; undefined where it does not. */
function calledWhole(plain: string, { foods, find }: ReadingContext): Food | undefined {
  const names =
    joinedNames.get(foods) ??
    [...foods.values()].flatMap((food) =>
      [food.name, ...food.synonyms].filter((name) => JOINT_IN_NAME.test(name)).map((name) => [name.toLowerCase(), food] as const),
    );
  joinedNames.set(foods, names);
  const lower = plain.toLowerCase();
  const called = names.filter(([name]) => lower.includes(name)).sort(([one], [other]) => other.length - one.length)[0];
  if (!called) return undefined;
  const [name, food] = called;
  const at = lower.indexOf(name);
  const rest = `${plain.slice(0, at)} , ${plain.slice(at + name.length)}`;
  const isWord = !/[\p{L}\d]/u.test(plain.charAt(at - 1)) && !/[\p{L}\d]/u.test(plain.charAt(at + name.length));
  const isPlain = linePartsOf(rest).parts.every(({ words }) => words === "" || isPlainText(words));
  return isWord && isPlain && find(rest).length === 0 ? food : undefined;
}

/** Reads one line into a food and grams, honouring what the maker settled by hand. */
export function readLine(line: RecipeLine, context: ReadingContext): LineReading {
  if (line.choice.leftOut) return { kind: "left out", line };
  if (line.text.length > RECIPE_LIMITS.lineCharacters)
    return {
      kind: "food unknown",
      line,
      guesses: [],
      description: "",
      beside: { foods: [], words: [], choice: false, alternatives: [], ground: false },
      why: `The line is longer than ${formatNumber(RECIPE_LIMITS.lineCharacters)} characters`,
    };
  const told = linePartsOf(line.text);
  const settled = line.choice.foodId ? context.foods.get(line.choice.foodId) : undefined;
  const whole = settled ?? calledWhole(told.plain, context);
  const found = whole ? { food: whole, head: headOf(told.parts, context), apart: [] } : foodOf(told.parts, context);
  const parts = told.parts.map((part) => (found.head && part.at === found.head.at ? found.head : part));
  // The food as it is named, and what is said of it in plain words.
  const description = parts
    .flatMap((part) => (part.words !== "" && (part === found.head || isPlainText(part.words)) ? [part.words] : []))
    .join(", ")
    .replace(HOW_MANY, "");
  if ("why" in found)
    return { kind: "food unknown", line, guesses: found.guesses, description, beside: besideIn(line.text, null, false, context.find), why: found.why };
  const { food, head } = found;
  const role = line.choice.role ?? food.role;
  const beside = besideIn(line.text, food, settled !== undefined, context.find);
  const shared = { line, food, role, description, beside, ...(found.apart.length > 0 ? { apart: found.apart } : {}) };
  if (line.choice.grams !== undefined)
    return {
      ...shared,
      kind: "read",
      grams: { value: line.choice.grams, sd: line.choice.grams * WEIGHED_SHARE_SD },
      how: `${formatGrams(line.choice.grams)} g, set by hand`,
      measure: "",
      optional: told.optional,
    };
  const own = nameStemsOf(food);
  const amounts = head ? amountsOf(parts, head, (words) => stemsOf(words).every((stem) => own.has(stem) || isDescribing(stem))) : [];
  const problem = told.problem ?? (amounts.length > 0 ? null : told.open === null ? { kind: "none" as const } : { kind: "open" as const, words: told.open });
  if (problem) return { ...shared, kind: "amount unknown", guesses: amountGuesses(food, context.measures), why: problemWords(problem) };
  // What is done to it after the comma is done once it is measured: "1 cup lentils, ground".
  if (food.cooked && !COOKED.test(head?.words ?? "") && parts.some(({ words }) => COOKED.test(words)))
    return { ...shared, kind: "amount unknown", guesses: amountGuesses(food, context.measures), why: "Was it measured before it was cooked, or after?" };
  // "1 tbsp minus 2 cups".
  const taken = amounts.some(({ quantity }) => quantity < 0);
  const measured = measureAmounts(amounts, food, head?.words ?? "", context.familyDensity[food.family] ?? null, context.measures);
  if (measured.kind === "unweighed")
    return {
      ...shared,
      kind: "amount unknown",
      guesses: measured.guess ? [measured.guess] : (spoonsOf(amounts, food, context) ?? amountGuesses(food, context.measures)),
      why: capital(measured.why),
    };
  if (taken && measured.grams.value <= 0)
    return {
      ...shared,
      kind: "amount unknown",
      guesses: amountGuesses(food, context.measures),
      why: problemWords({ kind: "not positive", words: told.plain }),
    };
  const contained = amounts.reduce((sum, { unit, quantity }) => sum + (unit !== null && unit in CONTAINERS ? quantity : 0), 0);
  return {
    ...shared,
    kind: "read",
    grams: measured.grams,
    how: measured.how,
    measure: measured.measure,
    optional: told.optional,
    ...(measured.water && { water: measured.water }),
    ...(contained > 0 && { containers: contained }),
  };
}

/** "3 spoons": of which spoon has to be asked. Null where the amount is in none. */
function spoonsOf(amounts: readonly StatedAmount[], food: Food, { measures, familyDensity }: ReadingContext): readonly AmountGuess[] | null {
  if (!amounts.some(({ unit }) => unit === "spoon")) return null;
  return (["tablespoon", "teaspoon"] as const).flatMap((spoon) => {
    const stated = amounts.map((each) => (each.unit === "spoon" ? { ...each, unit: spoon } : each));
    const measured = measureAmounts(stated, food, "", familyDensity[food.family] ?? null, measures);
    return measured.kind === "weighed" ? [{ label: measured.measure, grams: measured.grams.value }] : [];
  });
}

function problemWords(problem: AmountProblem): string {
  switch (problem.kind) {
    case "open":
      return `The amount is left open ("${problem.words}")`;
    case "not positive":
      return "An amount must be above zero";
    case "impossible":
      return `"${problem.words}" is not an amount: the lower figure of a fraction cannot be zero`;
    case "none":
      return "No amount is given";
  }
}

/** A recipe in which each line is of one food: where more stand in one with amounts of their own, each becomes a line. What was settled by hand stays. */
export function withLinesApart(recipe: Recipe, context: ReadingContext): Recipe {
  const lines = recipe.lines.flatMap((line) => {
    const reading = readLine(line, context);
    const apart = ("apart" in reading && reading.apart) || [];
    return apart.length < 2 ? [line] : linesApart(line, apart);
  });
  return lines.length > RECIPE_LIMITS.lines || lines.length === recipe.lines.length ? recipe : { ...recipe, lines };
}
