import type { Estimate } from "../numeric";
import { formatGrams, formatNumber, type HouseholdMeasures, capital } from "../units";
import type { Food, Role } from "../food";
import type { PantryTables } from "../pantry";
import { amountsOf, linePartsOf, type AmountProblem, type LinePart } from "./line-parts";
import { changesNothing, isDeed, isDescribing, isPlainWord, type FoodMatcher } from "./match-food";
import { COOKED, measureAmounts } from "./measure-amount";
import { besideIn, isHarmless, nameStemsOf, stemsOf, wordsAt, type Beside, type FoodFinder } from "./named-foods";
import { RECIPE_LIMITS } from "./limits";
import { linesApart, type Recipe, type RecipeLine } from "./recipe";

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
  const told = linePartsOf(line.text);
  const settled = line.choice.foodId ? context.foods.get(line.choice.foodId) : undefined;
  const found = settled ? { food: settled, head: headOf(told.parts, context), apart: [] } : foodOf(told.parts, context);
  const parts = told.parts.map((part) => (found.head && part.at === found.head.at ? found.head : part));
  // The food as it is named, and what is said of it in plain words.
  const description = parts.flatMap((part) => (part.words !== "" && (part === found.head || isPlainText(part.words)) ? [part.words] : [])).join(", ");
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
  const measured = measureAmounts(amounts, food, head?.words ?? "", context.familyDensity[food.family] ?? null, context.measures);
  if (measured.kind === "unweighed")
    return {
      ...shared,
      kind: "amount unknown",
      guesses: measured.guess ? [measured.guess] : amountGuesses(food, context.measures),
      why: capital(measured.why),
    };
  return {
    ...shared,
    kind: "read",
    grams: measured.grams,
    how: measured.how,
    measure: measured.measure,
    optional: told.optional,
    ...(measured.water && { water: measured.water }),
  };
}

const isPlainText = (words: string): boolean => stemsOf(words).every(isPlainWord);
/** The part that names what a line is of: the first that says more than how it is. */
const headOf = (parts: readonly LinePart[], { matcher }: ReadingContext): LinePart | undefined =>
  parts.find(({ words }) => !stemsOf(words).every(isDescribing) || (!isPlainText(words) && matcher.known(words) !== null)) ??
  parts.find(({ words }) => !isPlainText(words)) ??
  parts.find(({ words }) => words !== "");

/** The food of a line, with what else stands in it with an amount of its own; or why it has to be asked. */
type FoundFood =
  | { readonly head: LinePart; readonly food: Food; readonly apart: readonly string[] }
  | { readonly head: LinePart | undefined; readonly guesses: readonly Food[]; readonly why: string };

const POURED_OFF = /\b(?:drain(?:ed)?|discard(?:ed)?|thrown|poured off|squeezed out)\b/i;
const MOST_ALTERNATIVES = 8;
const MOST_GUESSES = 5;

function foodOf(parts: readonly LinePart[], context: ReadingContext): FoundFood {
  const zested = zestAndJuice(parts);
  if (zested) {
    const zest = foodOf([zested.zest], context);
    return "food" in zest ? { ...zest, apart: [zested.zest.text, zested.juice] } : zest;
  }
  const found = headOf(parts, context);
  const head = found && unitInName(found, context);
  if (!head) return { head, guesses: [], why: "No food is named" };
  const { matcher, foods } = context;
  const knownAs = (words: string, beside = ""): Food | null => {
    const id = matcher.known(words, beside);
    return id === null ? null : (foods.get(id) ?? null);
  };
  const others = parts.filter((part) => part !== found);
  // What stands after it in plain words may be part of its name: "almonds, ground", "milk, condensed".
  const beside = others.filter(({ joint, words }) => ["start", ",", "(", "-", "and"].includes(joint) && namesNothing(words, context)).map(({ words }) => words);
  const only = namedOnly(head, context);
  const food = only ? null : knownAs(head.words, beside.join(" "));
  const named = others.filter(({ words }) => !isPlainText(words));
  const choices = choiceOf(head, food, others, knownAs);
  if (choices.length > 1) return { head, guesses: choices, why: `A choice is left: “${choices.map(({ name }) => name).join("” or “")}”` };
  if (only) return { head, guesses: guessesFor(head.words, context), why: `${only.name}: known by what it is made of, not by its figures` };
  if (!food) {
    const called = named.flatMap(({ joint, words }) => (joint === "(" || joint === "/" ? (knownAs(words) ?? []) : []));
    const guesses = [...new Set([...called, ...guessesFor(head.words, context)])].slice(0, MOST_GUESSES);
    return { head, guesses, why: `"${head.words}" is not a food of the tables` };
  }
  return besideOf(head, food, { named, parts }, context, knownAs);
}

/** "Zest and juice of 1 lime" is two foods of one fruit. */
function zestAndJuice([first, second, ...others]: readonly LinePart[]): { readonly zest: LinePart; readonly juice: string } | null {
  const [, what] = /\b(zest|rind|peel)$/i.exec(first?.words ?? "") ?? [];
  const [, fruit] = /^juice of (.{2,40})$/i.exec(second?.words ?? "") ?? [];
  if (!first || !second || what === undefined || fruit === undefined || second.joint !== "and" || first.amounts.length > 0 || others.length > 0) return null;
  const { amounts } = second;
  return {
    zest: { ...first, amounts, words: `${first.words} of ${fruit}`, text: `${first.words} of ${second.text.replace(/^juice of /i, "")}` },
    juice: second.text,
  };
}

/** "1 bottle gourd": a word that is a unit elsewhere, and part of a name here. */
function unitInName(head: LinePart, { matcher, foods }: ReadingContext): LinePart {
  const [amount, ...more] = head.amounts;
  if (amount?.written === undefined || more.length > 0) return head;
  const { written, ...count } = amount;
  const known = matcher.known(head.words);
  if (known !== null && (foods.get(known)?.counted.some(({ unit }) => unit === amount.unit) ?? false)) return head;
  // "A pod of vanilla" is a vanilla pod; "a cup of rice" no rice cup.
  const named = [...(known === null ? [`${written} ${head.words}`.trim()] : []), `${head.words} ${written}`.trim()];
  const words = named.find((each) => {
    const other = matcher.known(each);
    return other !== null && other !== known;
  });
  return words === undefined ? head : { ...head, words, amounts: [{ ...count, unit: null }] };
}

/** What the other parts of a line that name something make of it: more foods with their amounts, or something to ask. */
function besideOf(
  head: LinePart,
  food: Food,
  { named, parts }: { readonly named: readonly LinePart[]; readonly parts: readonly LinePart[] },
  { find, foods }: ReadingContext,
  knownAs: (words: string) => Food | null,
): FoundFood {
  const more: LinePart[] = [];
  const own = nameStemsOf(food);
  // "Almonds, cashews and raisins, 2 tbsp each".
  const told = head.amounts.length > 0 ? undefined : parts.find((part) => part.each && part.amounts.length > 0 && isPlainText(part.words));
  const each = told && { at: told.at, text: told.text.replace(/\beach\b/gi, "").trim() };
  for (const part of named) {
    const spans = find(part.words);
    // "Without ghee", "the colour of honey": named, and not in it.
    const isMeant = spans.length === 0 || spans.some(({ meant }) => meant);
    const other = isMeant ? knownAs(part.words) : null;
    if (other?.id === food.id) continue;
    const amounts = part.amounts.filter(({ unit }) => unit !== "inch" && unit !== "centimeter");
    // What a thing is soaked in, and poured off again, does not go in.
    const isPouredOff = part.joint === "into" && parts.some(({ at, words }) => at >= part.at && POURED_OFF.test(words));
    if (other && amounts.length > 0 && !part.each && !isPouredOff) {
      more.push(part);
      continue;
    }
    if (other && each) {
      more.push({ ...part, text: `${each.text} ${part.words}` });
      continue;
    }
    // "Ghee-roasted" says how; "slivered almonds" are more of it.
    if (other && ["and", "plus", ",", "/"].includes(part.joint) && !isDeed(stemsOf(part.words).at(-1) ?? ""))
      return { head, guesses: [food, other], why: `“${food.name}” and “${other.name}” share one amount` };
    if (other && part.inBrackets && part.joint === "(") return { head, guesses: [food, other], why: `“${part.words}” is another food than “${head.words}”` };
    const unknown = wordsAt(part.words).filter(
      ({ stem, at, end }) => !own.has(stem) && !changesNothing(stem, food) && !isHarmless(stem) && !spans.some((span) => span.at <= at && end <= span.end),
    );
    if (unknown.length > 0) {
      const guesses = [food, ...spans.flatMap(({ food: each }) => (foods.has(each.id) ? [each] : []))];
      return { head, guesses: [...new Set(guesses)].slice(0, MOST_GUESSES), why: `“${unknown.map(({ word }) => word).join(" ")}” is not understood` };
    }
  }
  if (more.length === 0) return { head, food, apart: [] };
  const rest = parts.filter(({ at: place }) => place !== each?.at && !more.some(({ at }) => at === place));
  return { head, food, apart: [`${each ? `${each.text} ` : ""}${rest.map(({ text }) => text).join(", ")}`, ...more.map(({ text }) => text)] };
}

/** Whether words name no food by themselves: they may belong to the name of the one before them. */
const namesNothing = (words: string, { find }: ReadingContext): boolean => find(words).length === 0;

/** The foods that a line leaves to choose from: "milk or water", "almond or soya milk". Each must be a food by itself. */
function choiceOf(head: LinePart, food: Food | null, others: readonly LinePart[], knownAs: (words: string) => Food | null): readonly Food[] {
  const sides: LinePart[] = [];
  for (const part of others) {
    if (part.at < head.at || isPlainText(part.words)) continue;
    // "Fried in oil or ghee" leaves no choice of what is fried.
    if (part.joint !== "or" && part.joint !== "/") break;
    sides.push(part);
  }
  if (sides.length === 0 || sides.length >= MOST_ALTERNATIVES) return [];
  const noun = sides.at(-1)?.words.split(" ").at(-1) ?? "";
  const sharing = knownAs(`${head.words} ${noun}`);
  const first = sharing && sharing.id !== knownAs(noun)?.id ? sharing : food;
  const all = [first, ...sides.map(({ words }) => knownAs(words))];
  return all.every((each) => each !== null) ? [...new Set(all)] : [];
}

const guessesFor = (words: string, { matcher, foods }: ReadingContext): readonly Food[] => {
  const match = matcher.match(words);
  return (match.kind === "ask" ? match.guesses : [match.foodId]).flatMap((id) => foods.get(id) ?? []);
};

/** The food that a part names, where it is known by what it is made of alone ("almond milk powder"). */
function namedOnly({ words }: LinePart, { find, foods }: ReadingContext): Food | null {
  const named = find(words).filter(({ meant }) => meant);
  const [first] = named;
  return first && named.every(({ food }) => !foods.has(food.id)) ? first.food : null;
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

/** A recipe in which each line is of one food: where more stand in one with amounts of their own, each becomes a line. What was settled by hand stays. */
export function withLinesApart(recipe: Recipe, context: ReadingContext): Recipe {
  const lines = recipe.lines.flatMap((line) => {
    const reading = readLine(line, context);
    const apart = ("apart" in reading && reading.apart) || [];
    return apart.length < 2 ? [line] : linesApart(line, apart);
  });
  return lines.length > RECIPE_LIMITS.lines || lines.length === recipe.lines.length ? recipe : { ...recipe, lines };
}
