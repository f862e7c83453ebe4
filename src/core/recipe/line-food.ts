import type { Food } from "../food";
import type { LinePart } from "./line-parts";
import { changesNothing, isDeed, isDescribing, isPlainWord } from "./match-food";
import { isHarmless, isToBeDone, nameStemsOf, stemsOf, wordsAt } from "./named-foods";
import type { ReadingContext } from "./reading-context";

/** Whether words say only how a thing is. */
export const isPlainText = (words: string): boolean => wordsAt(words).every(({ stem, at }) => isPlainWord(stem) || isToBeDone(words, at));
/** A word that says how things are may be a food's name, too: "kesar" of a mango, and saffron; with an amount it is the food. */
const namesMeasured = ({ words, amounts }: LinePart, { matcher }: Pick<ReadingContext, "matcher">): boolean =>
  amounts.length > 0 && matcher.known(words) !== null;
/** The part that names what a line is of: the first that says more than how it is. */
export const headOf = (parts: readonly LinePart[], { matcher }: ReadingContext): LinePart | undefined =>
  parts.find(
    (part) => !stemsOf(part.words).every(isDescribing) || (!isPlainText(part.words) && matcher.known(part.words) !== null) || namesMeasured(part, { matcher }),
  ) ??
  parts.find(({ words }) => !isPlainText(words)) ??
  parts.find(({ words }) => words !== "");

/** The food of a line, with what else stands in it with an amount of its own; or why it has to be asked. */
type FoundFood =
  | { readonly head: LinePart; readonly food: Food; readonly apart: readonly string[] }
  | { readonly head: LinePart | undefined; readonly guesses: readonly Food[]; readonly why: string };

/** "Min 70%" of a chocolate that is called so, or of a food that no share tells from another. */
const isItsShare = (stem: string, { name }: Food): boolean => {
  const share = /^(\d{1,3})%$/.exec(stem)?.[1];
  return share !== undefined && (!name.includes("%") || name.replaceAll(" ", "").includes(`${share}%`));
};

const POURED_OFF = /\b(?:drain(?:ed)?|discard(?:ed)?|thrown|poured off|squeezed out)\b/i;
const MOST_ALTERNATIVES = 8;
const MOST_GUESSES = 5;

export function foodOf(parts: readonly LinePart[], context: ReadingContext): FoundFood {
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
  const named = others.filter((part) => !isPlainText(part.words) || namesMeasured(part, context));
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
  const each = eachOf(head, parts);
  for (const part of named) {
    const spans = find(part.words);
    // "Without ghee", "the colour of honey": named, and not in it.
    const isMeant = spans.length === 0 || spans.some(({ meant }) => meant);
    const other = isMeant ? knownAs(part.words) : null;
    if (other?.id === food.id) continue;
    const amounts = part.amounts.filter(({ unit }) => unit !== "inch" && unit !== "centimeter");
    // What a thing is soaked in, and poured off again, does not go in.
    const isPouredOff = part.joint === "into" && parts.some(({ at, words }) => at >= part.at && POURED_OFF.test(words));
    // "Soaked in 2 tbsp milk or 2 tbsp water": one of them goes in.
    if (other && amounts.length > 0 && part.joint === "or") return { head, guesses: [food], why: `A choice is left: “${part.words}”` };
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
      ({ stem, at, end }) =>
        !own.has(stem) &&
        !changesNothing(stem, food) &&
        !isHarmless(stem) &&
        !isToBeDone(part.words, at) &&
        !isItsShare(stem, food) &&
        !spans.some((span) => span.at <= at && end <= span.end),
    );
    if (unknown.length > 0) {
      const guesses = [food, ...spans.flatMap(({ food: each }) => (foods.has(each.id) ? [each] : []))];
      return { head, guesses: [...new Set(guesses)].slice(0, MOST_GUESSES), why: `“${unknown.map(({ word }) => word).join(" ")}” is not understood` };
    }
  }
  if (more.length === 0) return { head, food, apart: [] };
  const rest = parts.filter(({ at: place }) => place !== each?.at && !more.some(({ at }) => at === place));
  const texts = rest.map(({ at, text }) => (each && at === head.at ? `${each.text} ${head.words.replace(EACH, " ").trim()}` : text));
  return { head, food, apart: [texts.join(", "), ...more.map(({ text }) => text)] };
}

const EACH = /\beach(?: of)?\b/i;

/** The amount that each of several foods has: "almonds and raisins, 2 tbsp each", "1 tsp each ginger and cinnamon". */
function eachOf(head: LinePart, parts: readonly LinePart[]): { readonly at: number; readonly text: string } | undefined {
  if (head.amounts.length > 0) return head.each && EACH.test(head.text) ? { at: -1, text: head.text.split(EACH)[0]?.trim() ?? "" } : undefined;
  const told = parts.find((part) => part.each && part.amounts.length > 0 && isPlainText(part.words));
  return told && { at: told.at, text: told.text.replace(EACH, "").trim() };
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
