import type { Constants, Food, Role } from "../food";
import { clausesIn, handlingKindOf, sentencesOf, shortName, stepsWithout, type HandlingKind } from "../method";
import {
  mentionsOf,
  namesOfLine,
  readStep,
  type LineId,
  type Operation,
  type ReadRecipe,
  type Recipe,
  type RecipeStep,
  type StepId,
  type StepReading,
} from "../recipe";

/** A line as the steps name it. */
export interface WayLine {
  readonly id: LineId;
  readonly food: Food;
  readonly kind: HandlingKind | null;
  readonly role: Role;
  readonly grams: number;
  /** The words of the line without its amount. */
  readonly description: string;
  /** What the steps call it: "the ground rice". */
  readonly the: string;
}

/** A sentence of a step, in its place. */
export interface Site {
  /** Among all sentences of all steps. */
  readonly at: number;
  readonly step: RecipeStep;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly reading: StepReading;
  readonly names: readonly { readonly line: LineId; readonly at: number; readonly words: string }[];
  /** Minutes of wet heat in the sweet's own pot. */
  readonly wet: number;
}

/** A recipe as it is written: its sentences with what they name and do, and its lines. */
export interface Writing {
  readonly read: ReadRecipe;
  readonly constants: Constants;
  readonly lines: readonly WayLine[];
  readonly sites: readonly Site[];
}

const HEATED_CLOSED: readonly Operation[] = ["pressure", "steam", "bake"];
/** Minutes of wet heat that a sentence tells, or usual ones where it tells none. */
function wetOf({ open, coveredMinutes, operations, minutes, timed, heat, ownPan }: StepReading): number {
  if (ownPan) return 0;
  const told = open.reduce((sum, part) => sum + part.minutes, coveredMinutes);
  if (operations.some((each) => HEATED_CLOSED.includes(each))) return Math.max(told, minutes.usual);
  if (heat === null) return 0;
  return told > 0 ? told : timed ? minutes.usual : operations.some((each) => each === "simmer" || each === "reduce") ? USUAL_MINUTES : 0;
}
const USUAL_MINUTES = 5;

/** Of one reading, made once. */
const known = new WeakMap<ReadRecipe, Writing>();
/** A recipe's sentences with what they name and do. */
export function writingOf(read: ReadRecipe, constants: Constants): Writing {
  const before = known.get(read);
  if (before?.constants === constants) return before;
  const made = written(read, constants);
  known.set(read, made);
  return made;
}

function written(read: ReadRecipe, constants: Constants): Writing {
  // What is pressed in the recipe is named as it was before; water that went into it is a line too.
  const named = read.readings.flatMap((reading) =>
    reading.kind === "read"
      ? [
          {
            id: reading.line.id,
            food: reading.food,
            kind: handlingKindOf(reading.food),
            role: reading.role,
            grams: reading.grams.value,
            description: reading.description,
          },
        ]
      : [],
  );
  const find = mentionsOf(named.map(({ id, description, food }) => ({ key: id, names: namesOfLine(description, food) })));
  const sites: Site[] = [];
  for (const step of read.recipe.steps)
    for (const { from, to } of sentencesOf(step.text)) {
      const text = step.text.slice(from, to);
      const reading = readStep({ id: step.id, text, choice: {} }, constants.process.value);
      const names = find(text).map(({ key, at, words }) => ({ line: key, at, words }));
      sites.push({ at: sites.length, step, from, to, text, reading, names, wet: step.component === undefined ? wetOf(reading) : 0 });
    }
  const lines = named.map((line): WayLine => {
    const said = sites.flatMap(({ names }) => names).find((each) => each.line === line.id)?.words ?? plainName(line.description, line.food);
    return { ...line, the: `the ${said.toLowerCase()}` };
  });
  return { read, constants, lines, sites };
}

const plainName = (description: string, food: Food): string => (description.toLowerCase().split(/,| ?\(/)[0] ?? "").trim() || shortName(food);

/** The sentences of the sweet itself that name a line. */
export const sitesNaming = ({ sites }: Writing, line: LineId): readonly Site[] => sites.filter(({ names }) => names.some((each) => each.line === line));
export const isOwnSite = ({ step }: Site): boolean => step.component === undefined;
/** The first sentence in which a line goes into the sweet itself. */
export const firstNaming = (at: Writing, line: LineId): Site | undefined => sitesNaming(at, line).find(isOwnSite);

/** Sentences that tell only how to look at it. */
const isServed = ({ reading }: Site): boolean => ["chill", "serve apart", "shape", "rest", "transfer"].includes(reading.operation);
/** The last sentence in which the sweet's own pot cooks; none where it does not. */
export const lastWet = ({ sites }: Writing): Site | undefined => sites.findLast((site) => site.wet > 0 && !isServed(site));
/**
 * Minutes for which the sweet's own pot still cooks once something has gone in at a place of a sentence.
 * @unit minutes
 * @range 0 or more
 * @source what the steps tell
 */
export function minutesAfter({ sites }: Writing, site: Site, line: LineId): number {
  const place = site.names.find((each) => each.line === line)?.at ?? 0;
  const rest = site.text.slice(place);
  const own = site.wet > 0 && /\b(?:simmer|boil|cook|bubble|steam|bake|pressure|reduc|thicken|minutes?|hours?)/i.test(rest) ? site.wet : 0;
  return sites.filter(({ at }) => at > site.at).reduce((sum, { wet }) => sum + wet, own);
}

/** The sentence in which most of the sweet's liquid is poured in. */
export function pouring(at: Writing): { readonly site: Site; readonly line: WayLine } | null {
  const liquids = at.lines.filter(({ kind, role }) => role === "liquid" || kind === "water" || kind === "milk" || kind === "plant milk");
  const [line] = [...liquids].sort((a, b) => b.grams - a.grams);
  const shares = new Map(
    at.read.steps.map(({ step, takes }) => [step.id, takes.reduce((sum, { of, share }) => (of.id === line?.id ? sum + share : sum), 0)] as const),
  );
  const sites = line ? sitesNaming(at, line.id).filter((site) => isOwnSite(site) && !["soak", "wash", "slake"].includes(site.reading.operation)) : [];
  const most = Math.max(0, ...sites.map(({ step }) => shares.get(step.id) ?? 0));
  const site = sites.find(({ step }) => (shares.get(step.id) ?? 0) >= most);
  return line && site ? { site, line } : null;
}

/** "the sugar, the jaggery and the honey". */
export const listed = (names: readonly string[]): string => (names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`);
export const theOf = (lines: readonly WayLine[]): string => listed(lines.map(({ the }) => the));
export const itOf = (lines: readonly WayLine[]): string => (lines.length > 1 || /s$/.test(lines[0]?.the ?? "") ? "they" : "it");

const withSteps = (recipe: Recipe, steps: readonly RecipeStep[]): Recipe => ({
  ...recipe,
  steps: steps.filter(({ text, choice }) => text.trim() !== "" || Object.keys(choice).length > 0),
});

/** A recipe with other words in a step; what was settled by hand of what it does stays. */
export const withText = (recipe: Recipe, step: StepId, text: string): Recipe =>
  withSteps(
    recipe,
    recipe.steps.map((each) => (each.id === step ? { ...each, text: tidy(text) } : each)),
  );
const tidy = (text: string): string =>
  text
    .split(" ")
    .filter((word, i) => word !== "" || i === 0)
    .join(" ")
    .replace(/ ([.,;])/g, "$1")
    .trim();

/** A recipe with other words in place of some of a sentence's; what stands before it in its step is as it was. */
export function withWords(recipe: Recipe, { step, from }: Site, place: { readonly from: number; readonly to: number }, instead: string): Recipe {
  const text = recipe.steps.find(({ id }) => id === step.id)?.text ?? step.text;
  return withText(recipe, step.id, text.slice(0, from + place.from) + instead + text.slice(from + place.to));
}

/** A recipe with another sentence in place of one; none where that is empty. */
export const withSentence = (recipe: Recipe, site: Site, sentence: string): Recipe =>
  withWords(recipe, site, { from: 0, to: site.text.length }, sentence === "" ? "" : `${sentence}${site.text.slice(site.text.trimEnd().length)}`);

/** A recipe with a sentence more, before or behind one: within its step, or as a step of its own where that is at its end. */
export function withMore(recipe: Recipe, site: Site, place: "before" | "behind", id: string, sentence: string): Recipe {
  const { step, from, to } = site;
  const text = recipe.steps.find(({ id }) => id === step.id)?.text ?? step.text;
  const within = place === "before" ? from : to;
  if (within > 0 && within < text.length)
    return withText(recipe, step.id, `${text.slice(0, within)}${/\s$/.test(text.slice(0, within)) ? "" : " "}${sentence} ${text.slice(within)}`);
  const more: RecipeStep = { id, text: sentence, choice: {}, ...(step.component === undefined ? {} : { component: step.component }) };
  return withSteps(
    recipe,
    recipe.steps.flatMap((each) => (each.id !== step.id ? [each] : place === "before" ? [more, each] : [each, more])),
  );
}

/** A recipe with a step more at its very beginning, or at its end. */
export const withStep = (recipe: Recipe, place: "first" | "last", id: string, text: string): Recipe => {
  const more: RecipeStep = { id, text, choice: {} };
  return withSteps(recipe, place === "first" ? [more, ...recipe.steps] : [...recipe.steps, more]);
};

/** A recipe whose steps do not name some lines any more: struck from their sentences, or these said anew. */
export const withoutNaming = (at: Writing, lines: readonly LineId[], where: (step: StepId) => boolean = () => true): Recipe =>
  withSteps(at.read.recipe, stepsWithout(at.read, new Set(lines), where, at.constants.process.value));

/** Something named beside a line, in its sentence: "the milk and the sugar". */
export function besideNamed(recipe: Recipe, site: Site, line: LineId, more: string): Recipe | null {
  const found = site.names.find((each) => each.line === line);
  if (!found) return null;
  const end = found.at + found.words.length;
  const next = /^(?:,? and |, )(?:the |a |an |some )?/i.exec(site.text.slice(end));
  const after = end + (next?.[0].length ?? 0);
  // "the sugar and cook": what follows is done, not listed.
  const isDone = clausesIn(site.text).some(({ from }) => from > end && from <= after);
  const isListed = next !== null && !isDone && site.names.some(({ at }) => at > end && at - after < NEXT);
  const joint = isListed ? ", " : " and ";
  return withWords(recipe, site, { from: end, to: end }, `${joint}${more}`);
}

/** Of a list the next food begins so many characters on, past a word or two before its name. */
const NEXT = 14;

/** The clause of a sentence in which something is done, with its joints; null where the sentence does nothing else. */
export function clauseOf(site: Site, does: RegExp): { readonly from: number; readonly to: number } | null {
  const body = site.text.trimEnd().replace(/[.!?]$/, "");
  const clauses = clausesIn(body);
  const found = clauses.findIndex(({ from, to }) => does.test(body.slice(from, to)));
  const clause = clauses[found];
  if (!clause || clauses.length < 2) return null;
  const before = clauses[found - 1];
  if (!before) return null;
  const joint = /(?:[,;] (?:and |then |and then )?| and (?:then )?| then )$/i.exec(body.slice(0, clause.from))?.[0].length ?? 0;
  const isLast = clauses[found + 1] === undefined;
  return isLast ? { from: clause.from - joint, to: body.length } : { from: clause.from, to: clauses[found + 1]?.from ?? body.length };
}
