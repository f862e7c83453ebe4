import type { Food } from "../food";
import { coverOf, nameStemsOf, unknownWords, wordsAt, type FoodFinder, type NamedFood } from "./named-foods";
import { piecesBetween, trimmedOf } from "./plain-text";

/** What a line says beside the food that it is of. */
export interface Beside {
  /** Foods that it names beside that one: after a comma, in brackets, as what it was made ready in. Water is none. */
  readonly foods: readonly Food[];
  /** Words that may name a food, and are not understood. */
  readonly words: readonly string[];
  /** The foods are named to choose from ("oil or ghee"). */
  readonly choice: boolean;
  /** Foods that it names to choose from beside the one that it is of; among `foods` only while no choice is made. */
  readonly alternatives: readonly Food[];
  /** The food that the line is of is ground, so that it cannot choke as a whole piece. */
  readonly ground: boolean;
}

const SEPARATOR = /[,;:+]| [-–—] | (?:with|and|or|in|plus) /gi;
const OR = /\bor\b|[a-z]\/[a-z]/i;
const GROUND = /\b(?:ground|powder(?:ed)?|paste|pur[ée]ed?|blended|pulveri[sz]ed|meal|flour|finely milled)\b/i;

const NO_NAMES: ReadonlySet<string> = new Set();
/** A stroke between figures is a fraction: what stands behind it has an amount of its own. */
const EITHER = /\bor\b|(?<![\d½¼¾] ?)\/(?! ?\d)/i;
const PARTS_FOODS = /[;:+()]|\b(?:with|and|in|plus|for)\b/i;

/** Whether foods named one after the other are to choose from: joined by "or", or by a comma before one that is. */
function runsOf(text: string, found: readonly NamedFood[]): readonly (readonly NamedFood[])[] {
  const places = [...new Map(found.map((each) => [each.at, each] as const)).values()].sort((a, b) => a.at - b.at);
  const runs: NamedFood[][] = [];
  let isEither = false;
  for (const place of [...places].reverse()) {
    const run = runs.at(-1);
    const next = run?.at(-1);
    const between = next ? text.slice(place.end, next.at) : "";
    // "Ghee, or butter", "ghee (or butter)".
    const joint = trimmedOf(between, " ,(");
    const either = EITHER.test(joint) && !PARTS_FOODS.test(joint) && !joint.includes(",");
    if (run && (either || (isEither && /^ ?, ?$/.test(between)))) {
      run.push(place);
      isEither = true;
    } else {
      runs.push([place]);
      isEither = false;
    }
  }
  return runs.map((run) => run.reverse()).filter((run) => run.length > 1);
}

/** What a line names and says beside its food (null where that is not known). `settled`: the maker has said which food it is. */
export function besideIn(text: string, own: Food | null, settled: boolean, find: FoodFinder): Beside {
  const named = find(text);
  const found = named.filter(({ meant }) => meant);
  const mine = own && found.find(({ food }) => food.id === own.id);
  SEPARATOR.lastIndex = mine?.end ?? 0;
  const unbracketed = piecesBetween(text, "(", ")")
    .map((piece) => (piece.inside ? " ".repeat(piece.text.length + 2) : piece.text))
    .join("");
  const headEnd = SEPARATOR.exec(unbracketed)?.index ?? text.length;
  const names = own ? nameStemsOf(own) : NO_NAMES;
  const within = ({ at, end }: NamedFood) => end <= headEnd && wordsAt(text.slice(at, end)).every(({ stem }) => names.has(stem));
  // A name that several foods share is meant for the one that the line is of.
  const mineAt = new Set(found.filter(({ food }) => food.id === own?.id).map(({ at }) => at));
  const others = own === null ? found : found.filter((each) => !mineAt.has(each.at) && !within(each));
  const different = (places: readonly NamedFood[]) => [
    ...new Map(places.filter(({ food }) => food.id !== "water").map(({ food }) => [food.id, food] as const)).values(),
  ];
  // Those that stand to choose from with the line's own food, or at its head.
  const first = Math.min(...found.map(({ at }) => at));
  const run = runsOf(text, found).find((each) => each.some(({ at }) => (mineAt.size > 0 ? mineAt.has(at) : at === first)));
  const runAt = new Set(run?.map(({ at }) => at));
  const alternatives = different(others.filter(({ at }) => runAt.has(at)));
  const foods = different(settled ? others.filter(({ at }) => !runAt.has(at)) : others);
  return {
    foods,
    alternatives,
    words: own === null || settled ? [] : unknownWords(text.slice(headEnd), headEnd, coverOf(named), (stem) => names.has(stem)),
    choice: !settled && OR.test(text) && foods.length > 0,
    ground: GROUND.test(foods.length > 0 ? text.slice(0, headEnd) : text),
  };
}
