import { servingsText } from "../units";
import { RECIPE_LIMITS } from "./limits";
import { plainLine } from "./plain-text";
import type { RecipeYield } from "./recipe";

export interface ReadYield {
  readonly servings: number;
  /** Absent where servings or people are all that is said. */
  readonly makes?: RecipeYield;
}

const IN_WORDS: Readonly<Record<string, number>> = {
  one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, sixteen: 16, twenty: 20, "a dozen": 12, "one dozen": 12, "two dozen": 24, "half a dozen": 6, dozen: 12, a: 1, an: 1,
}; // prettier-ignore
const NUMBER = `\\d{1,3}(?: ?½| 1/2) dozen|\\d{1,6}(?: dozen)?|${Object.keys(IN_WORDS)
  .sort((one, other) => other.length - one.length)
  .join("|")}`;
const SERVED = "servings?|portions?|people|persons?|helpings?|bowls?|glasses|guests|adults|serves";
/** A jar of what is spread or poured is served by the tablespoon; an unnamed one holds so much, ml (rules of thumb). */
const SPOONFUL = 20;
const USUAL_JAR = 350;
/** A tray is cut into pieces of so many centimetres a side (rule of thumb); an unnamed one is so wide. */
const PIECE_SIDE = 4;
const USUAL_TRAY = 20;
/** A round cake is cut into wedges of so many square centimetres, a loaf into so many slices; half a cup is a serving, g (rules of thumb). */
const WEDGE = 36;
const SLICES = 10;
const HALF_CUP = 120;
const CENTIMETRES_PER_INCH = 2.54;

const HEAD = /^\(?(?:[^:\d]{1,20}: ?)?/;
const PEOPLE = new RegExp(
  `^(?:(?:serves|servings?|portions?|feeds|(?:makes )?enough for|for)\\b ?:? ?(?:about |around |up to |at least )?(${NUMBER})(?: ?(?:-|–|to|or) ?(?:${NUMBER}))?(?: (?:hungry |small |large |generous |big )?(?:${SERVED}))?|(?:makes?|yields?|gives)? ?(?:about |around )?(${NUMBER})(?: ?(?:-|–|to|or) ?(?:${NUMBER}))? (?:hungry |small |large |generous |big )?(?:${SERVED}))$`,
  "i",
);
const MADE = new RegExp(
  `^(makes?|yields?|gives|quantity|enough for)?\\b ?:? ?(?:about |around |approx\\.? |roughly |some )?(${NUMBER})(?: ?(?:-|–|to|or) ?(?:${NUMBER}))?(?: ?[x×])?(?: ((?=[\\p{L}\\d])[^.;:()]{1,60}))?$`,
  "iu",
);
const SIZE_BEFORE = "(?:(?:small|medium|large|big|little|bite[- ]sized?|mini|thin|thick|generous)(?:[ -]sized?)? )*";
/** What sweets are counted by, and no ingredient is; with "makes" before it any noun is. */
const PIECES = new RegExp(
  `^${SIZE_BEFORE}(pieces?|squares?|balls?|ladoos?|laddus?|laddoos?|cakes?|tarts?|tartlets?|diamonds?|truffles?|pops?|popsicles?|kulfis?|pedas?|barfis?|burfis?|ramekins?|modaks?)$`,
  "i",
);
const SIZED = new RegExp(`^${SIZE_BEFORE}`, "i");
const SERVES = /^(?:serves|feeds|for|enough)\b/i;
const JAR = /\b(?:jars?|bottles?|tubs?)\b/i;
const TRAY = /\b(?:trays?|tins?|pans?|thalis?|slabs?|loaf|loaves|moulds?|dish(?:es)?|cakes?|tarts?|pies?)\b/i;
const LOAF = /\bloa(?:f|ves)\b/i;
const ROUND = /\b(?:round|cakes?|tarts?|pies?)\b/i;
const SIDES = /(\d{1,3}(?:[.,]\d)?)(?: ?(?:cm|inch(?:es)?|in|["″]))?(?: ?(?:x|×|by) ?(\d{1,3}(?:[.,]\d)?))?[ -]?(cm|inch(?:es)?|in\b|["″])/i;
const CONTENT = /(\d{1,4}(?:[.,]\d{1,2})?) ?(ml|g|gm|gram|oz|l|litre|liter|kg|cup)s?\b/i;
const VERB = /^(?:makes?|yields?|gives|quantity)\b/i;
const AMOUNT = /^[a-z :]{0,24}?(\d{1,4}(?:[.,]\d{1,2})?) ?(ml|g|gm|gram|oz|l|litre|liter|kg|cup)s?$/i;
const TO_GRAMS: Readonly<Record<string, number>> = { ml: 1, g: 1, gm: 1, gram: 1, oz: 28, cup: 240, l: 1000, litre: 1000, liter: 1000, kg: 1000 };

const numberOf = (words: string): number => {
  const lower = words.toLowerCase();
  const half = /½|1\/2/.test(lower) ? 0.5 : 0;
  return IN_WORDS[lower] ?? (lower.endsWith("dozen") ? 12 * (Number.parseInt(lower, 10) + half) : Number(lower));
};
const decimal = (words: string | undefined) => Number((words ?? "").replace(",", "."));

/** Pieces of one tray, by its size. */
function piecesOfTray(noun: string): number {
  const sides = SIDES.exec(noun);
  const unit = sides?.[3]?.toLowerCase() === "cm" ? 1 : CENTIMETRES_PER_INCH;
  const [one, other] = sides ? [decimal(sides[1]) * unit, decimal(sides[2] ?? sides[1]) * unit] : [USUAL_TRAY, USUAL_TRAY];
  if (LOAF.test(noun)) return SLICES;
  const isRound = ROUND.test(noun) && sides?.[2] === undefined;
  return Math.max(1, Math.round(isRound ? (Math.PI * (one / 2) ** 2) / WEDGE : (one * other) / PIECE_SIDE ** 2));
}

/** Tablespoons of one jar, by its size. */
function spoonfulsOfJar(noun: string): number {
  const content = CONTENT.exec(noun);
  const grams = content ? decimal(content[1]) * (TO_GRAMS[(content[2] ?? "").toLowerCase()] ?? 1) : USUAL_JAR;
  return Math.max(1, Math.round(grams / SPOONFUL));
}

/** Servings where a recipe tells no more than what it makes: a piece each, a tablespoon of a jar, a piece of a tray. */
function servingsOf({ kind, count, noun }: RecipeYield): number {
  switch (kind) {
    case "pieces":
      return count;
    case "jar":
      return count * spoonfulsOfJar(noun);
    case "tray":
      return count * piecesOfTray(noun);
    case "amount":
      return Math.max(1, Math.round((count * (TO_GRAMS[noun] ?? 1)) / HALF_CUP));
  }
}

const made = (kind: RecipeYield["kind"], count: number, noun: string): ReadYield => {
  const makes: RecipeYield = { kind, count, noun: noun.slice(0, RECIPE_LIMITS.componentCharacters) };
  return { servings: Math.min(RECIPE_LIMITS.servings, servingsOf(makes)), makes };
};

const one = (noun: string): string => noun.replace(/ies$/i, "y").replace(/([^s])s$/i, "$1");

/**
 * What a line says of the yield: "Serves 6", "20 ladoos", "makes two 250 ml jars", "a 20 cm square tin"; null where it says nothing
 * of it. Of a range the lower end. `isYield`: it stands where only a yield can; then a number alone is one, and any noun a piece.
 */
export function readYield(text: string, isYield: boolean): ReadYield | null {
  const plain = plainLine(text.slice(0, RECIPE_LIMITS.lineCharacters)).replace(/\)?\.?$/, "");
  if (isYield && /^\d{1,6}(?:\.\d{1,6})?$/.test(plain)) return { servings: Number(plain) };
  const told = plain.replace(HEAD, (head) =>
    /[a-z] ?: ?$/i.test(head) && !/^\(?(?:serves|makes?|yields?|servings?|portions?|for|quantity) ?:/i.test(head) ? "" : head.replace("(", ""),
  );
  // "12 pieces, 6 servings": both are told.
  const parts = told
    .split(/[,;(]| and serves /i)
    .map((part) => part.trim().replace(/\)$/, ""))
    .filter(Boolean);
  const read = parts.map((part, i) => readOne(i > 0 && /^\d{1,4}$/.test(part) ? `serves ${part}` : part, isYield));
  const makes = read.find((each) => each?.makes)?.makes;
  const people = read.find((each, i) => each && !each.makes && SERVES.test(parts[i] ?? "")) ?? read.find((each) => each && !each.makes);
  if (read.some((each) => each === null) && !isYield) return null;
  if (people) return { servings: people.servings, ...(makes && { makes }) };
  return read.find((each) => each !== null) ?? null;
}

function readOne(text: string, isYield: boolean): ReadYield | null {
  const people = PEOPLE.exec(text);
  if (people) return { servings: numberOf(people[1] ?? people[2] ?? "") };
  const found = MADE.exec(text);
  const amount = isYield || VERB.test(text) ? AMOUNT.exec(text) : null;
  if (amount) return made("amount", decimal(amount[1]), (amount[2] ?? "ml").toLowerCase());
  if (!found) return null;
  const [verb, count] = [found[1], numberOf(found[2] ?? "")];
  if (!Number.isFinite(count)) return null;
  const isSure = isYield || verb !== undefined;
  // "Makes a jar of jam"; "a lemon-sized ball of tamarind" is an ingredient.
  const noun = isSure ? (found[3] ?? "").replace(/ of (?!\d).*$/i, "").trim() : (found[3] ?? "").trim();
  if (noun === "") return isSure ? { servings: count } : null;
  const piece = PIECES.exec(noun)?.[1];
  const isOneTray = TRAY.test(noun) && (SIDES.test(`${found[2] ?? ""} ${noun}`) || /\b(?:tray|tin|pan|thali|slab|loaf)/i.test(noun));
  // "20 cm tin" has its size before its name: the number is no count.
  const sized = /^(?:cm|inch|in\b|["″]|x |× |by )/i.test(noun) && isOneTray;
  // A tray with its size is no ingredient.
  if (isOneTray && !isSure && count === 1 && SIDES.test(noun)) return made("tray", 1, noun);
  if (sized && isSure) return made("tray", 1, `${found[2] ?? ""} ${noun}`);
  if (JAR.test(noun) && isSure) return made("jar", count, jarOf(noun));
  if (isOneTray && isSure && count <= 12) return made("tray", count, one(noun));
  if (piece !== undefined) return made("pieces", count, one(piece));
  return isSure && count > 1 && noun.split(" ").length <= 3 && !CONTENT.test(text) ? made("pieces", count, one(noun.replace(SIZED, ""))) : null;
}

/** "Jars of 250 ml" are 250 ml jars. */
function jarOf(noun: string): string {
  const content = CONTENT.exec(noun);
  const jar = one(JAR.exec(noun)?.[0]?.toLowerCase() ?? "jar");
  return content ? `${content[1] ?? ""} ${(content[2] ?? "").toLowerCase()} ${jar}` : jar;
}

const severalOf = (noun: string) => (/(?:ch|sh|s|x)$/.test(noun) ? `${noun}es` : /[^aeiou]y$/.test(noun) ? `${noun.slice(0, -1)}ies` : `${noun}s`);

/** What a recipe makes, in words: "6 servings", "20 ladoos", "1 jar, 18 servings". */
export function yieldText({ servings, makes }: { readonly servings: number; readonly makes?: RecipeYield | undefined }): string {
  if (!makes) return servingsText(servings);
  if (makes.kind === "amount")
    return `${makes.count} ${makes.count > 1 && makes.noun.length > 2 ? severalOf(makes.noun) : makes.noun}, ${servingsText(servings)}`;
  const told = makes.count === 1 ? `one ${makes.noun}` : `${makes.count} ${severalOf(makes.noun)}`;
  return makes.kind === "pieces" && makes.count === servings ? told : `${told}, ${servingsText(servings)}`;
}

/** What a serving is where a recipe makes pieces, jars or trays, in words; null where servings are all that is said. */
export function servingText({ servings, makes }: { readonly servings: number; readonly makes?: RecipeYield | undefined }): string | null {
  if (!makes) return null;
  if (makes.kind === "pieces") {
    const each = makes.count / servings;
    return each === 1 ? `A serving is one ${makes.noun}.` : `A serving is ${String(Math.round(each * 100) / 100)} of ${makes.count} ${severalOf(makes.noun)}.`;
  }
  if (servings !== servingsOf(makes)) return null;
  switch (makes.kind) {
    case "amount":
      return `A serving is half a cup, about ${HALF_CUP} g (rule of thumb).`;
    case "jar":
      return `A serving is a tablespoon of it, about ${SPOONFUL} g (rule of thumb).`;
    case "tray":
      if (LOAF.test(makes.noun)) return `A serving is one of ${SLICES} slices (rule of thumb).`;
      return ROUND.test(makes.noun)
        ? `A serving is a slice of about ${WEDGE} square cm (rule of thumb).`
        : `A serving is a piece of about ${PIECE_SIDE} by ${PIECE_SIDE} cm (rule of thumb).`;
  }
}
