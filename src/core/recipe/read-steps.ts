import { areKin, type Food, type ProcessConstants } from "../food";
import { measureAmounts } from "./measure-amount";
import { generalNames, mentionsOf, namesOfLine, type FindMentions } from "./mentions";
import { RECIPE_LIMITS } from "./limits";
import { Scanner } from "./scan-amount";
import type { LineReading } from "./read-line";
import type { ReadingContext } from "./reading-context";
import { readStep, type StepReading } from "./read-step";
import type { LineId, PartId, Recipe } from "./recipe";
import type { Structure } from "./components";

/** Something that goes in at a step. */
export interface ReadTake {
  readonly of: { readonly kind: "line"; readonly id: LineId } | { readonly kind: "component"; readonly id: PartId };
  /** Above 0, at most 1: of the whole line or component. */
  readonly share: number;
  /** The text names it, the maker set it, or no step names it and this is where it must go in. */
  readonly why: "named" | "by hand" | "not named";
}

export interface ReadStepWithTakes extends StepReading {
  readonly takes: readonly ReadTake[];
}

/** A line or a part of one recipe: one object for each, by which it is known. */
type Taken = ReadTake["of"];

const HALVES: Readonly<Record<string, number>> = {
  half: 0.5,
  "½": 0.5,
  "a third": 1 / 3,
  "one third": 1 / 3,
  "⅓": 1 / 3,
  "two thirds": 2 / 3,
  "⅔": 2 / 3,
  "a quarter": 0.25,
  "¼": 0.25,
  "three quarters": 0.75,
  "¾": 0.75,
  most: 0.85,
  "a little": 0.05,
};
const SHARE_BEFORE = new RegExp(`\\b(${Object.keys(HALVES).join("|")}) (?:of )?(?:the |your |this )?(?:[a-z-]{1,30} ){0,2}$`, "i");
const GLYPH_BEFORE = /([½⅓⅔¼¾]) ?(?:of )?(?:the )?(?:[a-z-]{1,30} )?$/i;
const REST_BEFORE = /\b(?:rest|remaining|remainder|other half) (?:of )?(?:the |your )?(?:[a-z-]{1,30} ){0,2}$/i;
const AMOUNT_BEFORE =
  /((?:(?<![\d.,])\d{1,6}(?:[.,]\d{1,4})?|[½⅓⅔¼¾]|half a|half an|an?|one|two|three|four|a few) ?(?:cups?|katoris?|tbsp|tablespoons?|tsp|teaspoons?|spoonfuls?|spoons?|ladles?|ladlefuls?|handfuls?|ml|millilitres?|g|grams?|l|litres?)) (?:of )?(?:the |your )?(?:[a-z-]{1,30} ){0,2}$/i;

/** The rest of what a step before took a part of, by no name: "add the other half". */
const OTHER_HALF = /\b(?:the )?(?:other|second|remaining) half\b(?! (?:of|the)\b)|\bthe (?:rest|remainder)\b(?= ?(?:[,.;]|$|and\b|in\b|to\b|over\b|with\b))/i;
/**
 * Lines of one class by its name alone: "the chopped nuts", where none of them is named anywhere. Of "pumpkin seeds" or "smells of nuts"
 * it is nothing, nor of the seeds of a pod or a fruit.
 */
const BY_CLASS =
  /(?<!\b(?:of|like|as) )\b(?:(?:both|all)(?: of)?(?: the)?|the|your|these) (?:kinds of (?:the )?)?(?:(?:chopped|sliced|slivered|toasted|roasted|fried|mixed|crushed|broken|pounded|remaining) )*(nuts|dry ?fruits|dried fruits|seeds|spices)\b(?!.{0,30}\b(?:husks?|pods?)\b)/gi;
const SEEDS_OF = /\b(?:pods?|vanilla|pomegranate|pith|deseed\w*|discard|(?:remove|scoop|scrape|take)\b.{0,20}\bseeds)\b/i;
/** Several lines by what they have in common: "both sugars". */
const BOTH = /\b(?:both|all) (?:of )?(?:the |kinds of (?:the )?)?(sugars|sweeteners|flours|milks|nuts|fats|dals|pulses|grains|fruits)\b/i;
const IN_COMMON: Readonly<Record<string, (reading: Extract<LineReading, { kind: "read" }>) => boolean>> = {
  sugars: ({ role }) => role === "sweetener",
  sweeteners: ({ role }) => role === "sweetener",
  flours: ({ food }) => food.nature?.form === "flour",
  milks: ({ food, role }) => role === "liquid" && (food.family === "dairy" || food.family === "drink"),
  nuts: ({ food }) => food.family === "nut",
  fats: ({ food }) => food.family === "fat",
  dals: ({ food }) => food.family === "pulse",
  pulses: ({ food }) => food.family === "pulse",
  grains: ({ food }) => food.family === "cereal" || food.family === "pseudo-cereal",
  fruits: ({ food }) => food.family === "fruit",
  seeds: ({ food }) => food.family === "oilseed",
  spices: ({ food }) => food.family === "spice",
  "dry fruits": (reading) => isDryFruit(reading.food),
  dryfruits: (reading) => isDryFruit(reading.food),
  "dried fruits": (reading) => isDryFruit(reading.food),
};
/** What a cook calls dry fruit: nuts, and fruit that is dried. */
const isDryFruit = (food: Food): boolean => food.family === "nut" || (food.family === "fruit" && food.nature?.processing === "dried");

/** Whether a line is of a class. */
const isOfClass = (noun: string, reading: LineReading | undefined): boolean => reading?.kind === "read" && (IN_COMMON[noun.toLowerCase()]?.(reading) ?? false);

/** Where a text calls lines by their class: its words, the class in them, and whether a line is of it. */
export const classesIn = (
  text: string,
): readonly { readonly phrase: string; readonly noun: string; readonly has: (reading: LineReading | undefined) => boolean }[] =>
  [...text.matchAll(BY_CLASS)].flatMap(([phrase, noun = ""]) =>
    noun.toLowerCase() === "seeds" && SEEDS_OF.test(text) ? [] : [{ phrase, noun, has: (reading: LineReading | undefined) => isOfClass(noun, reading) }],
  );

/** Reads all steps: what each does, and what goes in at each. What is named in no step goes in where it must: its component's first step, a garnish at the end. */
export function readSteps(
  recipe: Recipe,
  readings: readonly LineReading[],
  structure: Structure,
  context: ReadingContext,
  constants: ProcessConstants,
): ReadStepWithTakes[] {
  const steps = recipe.steps.filter(({ text, choice }) => text.trim() !== "" || Object.keys(choice).length > 0).map((step) => readStep(step, constants));
  const byLine = new Map(readings.map((reading) => [reading.line.id, reading] as const));
  const lineOf = new Map(readings.map(({ line: { id } }): [LineId, Taken] => [id, { kind: "line", id }]));
  const partOf = new Map([...structure.components.keys()].map((id): [PartId, Taken] => [id, { kind: "component", id }]));
  const finders = new Map<string, FindMentions<Taken>>();
  const finderFor = (component: PartId | undefined) => {
    const known = finders.get(component ?? "");
    if (known) return known;
    const fresh = finderOf(readings, structure, component, lineOf, partOf);
    finders.set(component ?? "", fresh);
    return fresh;
  };
  // Of a step that names one thing again and again the first time counts.
  const mentions = steps.map(({ step }) => {
    const named = new Set<Taken>();
    const text = step.text.slice(0, RECIPE_LIMITS.stepCharacters);
    if (makesListed(text, readings, context)) return [];
    const found = finderFor(step.component)(text);
    // "Rose water" is no water of the list, "almond butter" no butter: a longer name of another food goes before.
    const others = found.length === 0 ? [] : context.find(text);
    const isAnother = ({ key, at, words }: (typeof found)[number]) => {
      const reading = key.kind === "line" ? byLine.get(key.id) : undefined;
      const own = reading && "food" in reading ? reading.food : null;
      const longer = others.filter((other) => other.at <= at && at + words.length <= other.end && other.end - other.at > words.length + 1);
      return own !== null && longer.length > 0 && longer.every(({ food }) => !areKin(food, own));
    };
    return found.filter((each) => !isAnother(each)).filter(({ key }) => !named.has(key) && named.add(key));
  });
  const mentioned = new Set(mentions.flatMap((found) => found.map(({ key }) => key)));

  const left = new Map<Taken, number>();
  const rest = (of: Taken) => left.get(of) ?? 1;
  const readingOf = (of: Taken) => (of.kind === "line" ? byLine.get(of.id) : undefined);
  const takes: ReadTake[][] = steps.map(() => []);
  const put = (at: number, of: Taken, share: number, why: ReadTake["why"]) => {
    takes[at]?.push({ of, share, why });
    left.set(of, rest(of) - share);
  };
  // What was settled by hand is taken off first, wherever it stands.
  steps.forEach(({ step }, at) => {
    for (const { of, share } of step.choice.takes ?? []) {
      const taken = lineOf.get(of) ?? partOf.get(of);
      if (taken) put(at, taken, share, "by hand");
    }
  });
  const isInCommon = (at: number, of: Taken): boolean => {
    const [, words = ""] = BOTH.exec(steps[at]?.step.text ?? "") ?? [];
    const reading = readingOf(of);
    return reading?.kind === "read" && (IN_COMMON[words.toLowerCase()]?.(reading) ?? false);
  };
  const later = (at: number, of: Taken) =>
    mentions.findIndex((found, other) => other > at && !steps[other]?.step.choice.takes && found.some((each) => each.key === of));
  const lastShared = new Map<Taken, number>();
  steps.forEach((reading, at) => {
    if (reading.step.choice.takes) return;
    for (const { key: of, at: place } of mentions[at] ?? []) {
      if (rest(of) <= 1e-6 || (takes[at] ?? []).some((take) => take.of === of)) continue;
      if (of.kind === "line" && readingOf(of)?.kind !== "read") continue;
      // What is served apart is named, and stays beside it, unless the maker says otherwise.
      if (of.kind === "component" && structure.components.get(of.id)?.use.kind === "apart") continue;
      if (of.kind === "component" && !steps.some(({ step }) => step.component === of.id)) {
        // It has no steps of its own: its lines go in here, those that are named elsewhere apart.
        for (const { kind, line } of readings) {
          const own = lineOf.get(line.id);
          if (line.component === of.id && own && !mentioned.has(own) && kind === "read" && rest(own) > 1e-6) put(at, own, rest(own), "named");
        }
        left.set(of, 0);
        continue;
      }
      if (reading.setsAside && !staysIn(readingOf(of)) && later(at, of) >= 0) continue;
      const before = reading.step.text.slice(Math.max(0, place - 60), place).replace(/\s+/g, " ");
      const share = shareBefore(before, readingOf(of), context);
      // "Rinse until the water runs clear" is no water of the list where a later step names that.
      if (share === null && isWater(readingOf(of)) && WASHED_IN.test(sentenceAt(reading.step.text, place)) && later(at, of) >= 0) continue;
      const taken = share === null ? rest(of) : Math.min(share, rest(of));
      if (taken > 0) put(at, of, taken, "named");
      if (share !== null) lastShared.set(of, at);
    }
    const classes = classesIn(reading.step.text);
    const isByClass = (of: Taken) => !mentioned.has(of) && classes.some(({ has }) => has(readingOf(of)));
    for (const of of lineOf.values()) if (rest(of) > 1e-6 && (isInCommon(at, of) || isByClass(of))) put(at, of, rest(of), "named");
    const [halved] = OTHER_HALF.test(reading.step.text) ? [...lastShared.keys()].filter((of) => rest(of) > 1e-6).reverse() : [];
    if (halved) put(at, halved, rest(halved), "named");
  });
  // A part that no step takes goes in with the last part; a line that none names where it must.
  for (const [of, at] of lastShared) if (rest(of) > 1e-6) put(at, of, rest(of), "not named");
  if (steps.length > 0) {
    for (const reading of readings) {
      const of = lineOf.get(reading.line.id);
      if (of && reading.kind === "read" && rest(of) > 1e-6) put(placeFor(steps, reading), of, rest(of), "not named");
    }
    for (const component of structure.components.values()) {
      const of = partOf.get(component.id);
      const at = lastOf(steps, structure.into.get(component.id));
      // Where what it goes into has no step, the ledger brings them together at the end.
      if (of && at >= 0 && steps.some(({ step }) => step.component === component.id) && rest(of) > 1e-6 && component.use.kind !== "apart")
        put(at, of, rest(of), "not named");
    }
  }
  return steps.map((step, at) => ({ ...step, takes: takes[at] ?? [] }));
}

const isWater = (reading: LineReading | undefined): boolean => reading?.kind === "read" && reading.food.id === "water";
const WASHED_IN = /\b(?:runs? clear|rins(?:e|ed|ing)|wash(?:ed|ing)?|drain(?:ed|ing)?|soak(?:ed|ing)?|plenty of|discard)\b/i;
const sentenceAt = (text: string, at: number): string => {
  const from = Math.max(text.lastIndexOf(".", at), text.lastIndexOf(";", at)) + 1;
  const to = text.slice(at).search(/[.;]/);
  return text.slice(from, to < 0 ? text.length : at + to);
};

const GRAMS = /(?<![\d.,])(\d{1,3}(?:,\d{3}){1,2}|\d{1,6}(?:\.\d{1,3})?) ?(?:g|grams?|ml)\b/g;
const MAKES = /\b(?:grind|ground|powder|blend|press|strain)/i;
/** How near an amount that a step tells is to a line's, as a share, where it is meant. */
const SAME_AMOUNT = 0.05;

/**
 * Whether a step only makes a milk or a flour that has a line of its own: "blend 200 g almonds with 790 g water and press: 740 g of
 * milk" of a recipe that lists 740 g of almond milk. The almonds of the list are others.
 */
function makesListed(text: string, readings: readonly LineReading[], context: ReadingContext): boolean {
  if (!MAKES.test(text)) return false;
  const amounts = [...text.matchAll(GRAMS)].map(([, digits = ""]) => Number(digits.replace(/,/g, "")));
  if (amounts.length === 0) return false;
  const named = context.find(text).map(({ food }) => food);
  const isMade = (food: Food) => food.family === "drink" || food.nature?.form === "flour";
  return readings.some((reading) => {
    if (reading.kind !== "read" || !isMade(reading.food)) return false;
    const { food, grams } = reading;
    const plant = food.nature?.botanical;
    const ofPlant = named.filter((other) => other.nature?.botanical === plant);
    // What names the milk itself uses it.
    return plant != null && ofPlant.length > 0 && !ofPlant.some(isMade) && amounts.some((amount) => Math.abs(amount / grams.value - 1) <= SAME_AMOUNT);
  });
}

/** What something is fried or soaked in stays in the pot when that is lifted out. */
const staysIn = (reading: LineReading | undefined): boolean =>
  reading !== undefined && "role" in reading && (reading.role === "richness" || reading.role === "liquid");

/** Finds lines and components in a step: what belongs to the step's own component is meant before others of the same name. */
function finderOf(
  readings: readonly LineReading[],
  structure: Structure,
  component: PartId | undefined,
  lineOf: ReadonlyMap<LineId, Taken>,
  partOf: ReadonlyMap<PartId, Taken>,
): FindMentions<Taken> {
  const lines = readings.flatMap((reading) => {
    const key = lineOf.get(reading.line.id);
    return key && reading.kind === "read" ? [{ key, own: reading.line.component === component, names: namesOfLine(reading.description, reading.food) }] : [];
  });
  const parts = [...structure.components.values()].flatMap(({ id, name }) => {
    const key = partOf.get(id);
    return key && id !== component ? [{ key, own: false, names: [name, name.trim().split(/\s+/).at(-1) ?? name] }] : [];
  });
  const general = generalNames(
    readings.flatMap((reading) => {
      const key = lineOf.get(reading.line.id);
      return key && reading.kind === "read" ? [{ key, role: reading.role }] : [];
    }),
  );
  return mentionsOf([...lines.filter(({ own }) => own), ...parts, ...lines.filter(({ own }) => !own), ...general]);
}

/** What the words before a name say of how much of it: a share, or an amount held against the line's grams. Null where they say nothing, or "the rest". */
function shareBefore(before: string, reading: LineReading | undefined, context: ReadingContext): number | null {
  if (REST_BEFORE.test(before)) return null;
  const amount = AMOUNT_BEFORE.exec(before)?.[1];
  if (amount !== undefined) {
    if (reading?.kind !== "read") return null;
    const words = amount
      .replace(/\bhalf an?\b/i, "½")
      .replace(/\ba few\b/i, "3")
      .replace(/\b(?:spoonfuls?|spoons?)\b/i, "tbsp");
    const stated = new Scanner(words.trim()).amount();
    if (!stated) return null;
    const measured = measureAmounts([stated], reading.food, reading.description, context.familyDensity[reading.food.family] ?? null, context.measures);
    return measured.kind === "weighed" && reading.grams.value > 0 ? Math.min(1, measured.grams.value / reading.grams.value) : null;
  }
  const share = SHARE_BEFORE.exec(before)?.[1] ?? GLYPH_BEFORE.exec(before)?.[1];
  return share === undefined ? null : (HALVES[share.toLowerCase()] ?? null);
}

const ALL_THE_REST = /\b(?:the rest|everything(?: else)?|all (?:of )?(?:the )?(?:other |remaining )?ingredients|(?:remaining|other) ingredients)\b(?! of\b)/i;
/** "Add the rest": it names all that no other step does. */
export const namesAllTheRest = (text: string): boolean => ALL_THE_REST.test(text);

/** Where a line that no step names goes in. */
function placeFor(steps: readonly StepReading[], reading: Extract<LineReading, { kind: "read" }>): number {
  const { component } = reading.line;
  const all = steps.findIndex(({ step }) => step.component === component && namesAllTheRest(step.text));
  if (all >= 0) return all;
  const own = component !== undefined && steps.some(({ step }) => step.component === component) ? component : undefined;
  const places = steps.flatMap(({ step }, at) => (step.component === own ? [at] : []));
  const late = ["aroma", "colour", "crunch"].includes(reading.role);
  // A sweetener that no step names goes in once all is soft: where it cooks last.
  const last = reading.role === "sweetener" ? places.findLast((at) => steps[at]?.heat != null) : undefined;
  if (last !== undefined) return last;
  return (late ? places.at(-1) : places[0]) ?? (late ? steps.length - 1 : 0);
}

/** The last step of what a component goes into. */
function lastOf(steps: readonly StepReading[], into: string | undefined): number {
  return steps.findLastIndex(({ step }) => step.component === into);
}
