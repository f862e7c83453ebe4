import type { Constants, Role } from "../food";
import { capital, formatGrams, type HouseholdMeasures } from "../units";
import { kitchenMeasure, namesAllTheRest, type FindMentions, type LineId, type Operation, type RecipeStep, type StepId } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { mentionsOfLines, shortName, type NamedLine } from "./names";
import { handlingOf } from "./handling";
import { handlingKindOf, holdsFor } from "./kinds";
import { say } from "./say";
import { endsOpen, singleSpaced, timed, type Segment } from "./segments";
import type { Edit } from "./sentences";
import type { HandlingTables, Method, MethodSentence, MethodStep } from "./step";
import { greasesAt, natureOf, SENTENCE_BEGINS } from "./wording";

/** A step in words, against the recipe's own. */
export interface StepWords {
  /** The step of the method that it says; one that fell away is called by the recipe's step. */
  readonly step: StepId;
  /** The recipe's step; null for one that the version adds. */
  readonly from: StepId | null;
  readonly segments: readonly Segment[];
  /** Why it changed, was added or fell away; empty where it did not. */
  readonly why: string;
  /** The maker's own words, which are not rebuilt, and what stands against them. */
  readonly isOwn?: true;
  readonly conflicts?: readonly string[];
}

/** What a method is put into words with. */
export interface WordsGround {
  readonly steps: readonly Pick<RecipeStep, "id" | "text">[];
  readonly lines: readonly NamedLine[];
  readonly handling: HandlingTables;
  readonly measures: HouseholdMeasures;
  readonly constants: Pick<Constants, "gelatinisationMinutes">;
}

/** What words are made with. */
interface Wording extends WordsGround {
  readonly find: FindMentions<LineId>;
  readonly rowOfLine: ReadonlyMap<LineId, VersionRow>;
  readonly rowOf: ReadonlyMap<LineId, VersionRow>;
  /** Whether some pot simmers. */
  readonly simmers: boolean;
  /** Lines that no sentence of the recipe may name any more. */
  readonly gone: ReadonlySet<LineId>;
  /** Lines that some sentence still names. */
  readonly told: ReadonlySet<LineId>;
  /** Lines whose amount was told already. */
  readonly named: Set<LineId>;
}

/**
 * A method in words, its steps in order and what fell away where it stood. A step of the recipe keeps its sentences where they
 * hold: each mention of a row that changed is replaced or given its new amount, what is left out is struck from lists, and what
 * goes in beside it is named there; what does not hold is said anew. Amounts are told in the household's measures and in grams.
 */
export function wordsOf(method: Method, version: Version, ground: WordsGround): StepWords[] {
  const textOf = new Map(ground.steps.map(({ id, text }) => [id, text] as const));
  const find = mentionsOfLines(ground.lines);
  const gone = new Set([...method.outOfPlace, ...version.rows.flatMap(({ line, food }) => (line !== null && food === null ? [line] : []))]);
  const wording: Wording = {
    ...ground,
    find,
    gone,
    simmers: method.simmers,
    rowOfLine: new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const]))),
    rowOf: new Map(version.rows.map((row) => [row.id, row] as const)),
    told: new Set(method.steps.flatMap((step) => toldLines(step, textOf, find))),
    named: new Set(),
  };
  const order = new Map(ground.steps.map(({ id }, i) => [id, i] as const));
  const fellAway = new Set(method.needless.map(({ step }) => step));
  const words = method.steps.map((step): StepWords => {
    const why = step.reasons.join(", ");
    if (step.origin.kind !== "recipe") {
      const segments: readonly Segment[] = [{ text: newWords(step, wording), kind: "changed" }];
      return { step: step.id, from: null, segments: step.cooking ? timed(segments, step.cooking).filter(({ kind }) => kind === "changed") : segments, why };
    }
    const before = ground.steps[(order.get(step.origin.step) ?? 0) - 1];
    const segments = recipeWords(step, textOf.get(step.origin.step) ?? "", before !== undefined && fellAway.has(before.id), wording);
    return { step: step.id, from: step.origin.step, segments: step.cooking ? timed(segments, step.cooking) : segments, why };
  });
  for (const { step, why } of method.needless) {
    const mine = order.get(step) ?? 0;
    const place = words.findIndex(({ from }) => from !== null && (order.get(from) ?? 0) > mine);
    words.splice(place < 0 ? words.length : place, 0, { step, from: step, segments: [{ text: textOf.get(step) ?? "", kind: "removed" }], why });
  }
  return words;
}

/** A step without sentences of its own to go by: all of it stands. */
const whole = (text: string): MethodSentence => ({ from: 0, to: text.length, is: "kept", edits: [] });

/** The lines that a step's sentences name as they hold now. */
function toldLines({ origin, sentences }: MethodStep, textOf: ReadonlyMap<StepId, string>, find: FindMentions<LineId>): LineId[] {
  if (origin.kind !== "recipe") return [];
  const text = textOf.get(origin.step) ?? "";
  return (sentences ?? [whole(text)]).flatMap((sentence) =>
    sentence.is === "kept"
      ? find(text.slice(sentence.from, sentence.to)).map(({ key }) => key)
      : sentence.is === "anew"
        ? sentence.of.map(({ line }) => line)
        : [],
  );
}

/** A step of the recipe in words, as it holds now. */
function recipeWords(step: MethodStep, text: string, isAfterFewer: boolean, wording: Wording): readonly Segment[] {
  const { rowOf, gone, told, measures } = wording;
  const beside = step.takes.flatMap(({ of }) => {
    const row = of.kind === "line" ? rowOf.get(of.id) : undefined;
    if (!row?.food) return [];
    if (row.line === null || gone.has(row.line)) return [row];
    return row.change !== "as is" && !told.has(row.line) && !namesAllTheRest(text) ? [row] : [];
  });
  const said = new Set<VersionRow>();
  let isFewer = isAfterFewer;
  const segments = (step.sentences ?? [whole(text)]).flatMap((sentence): readonly Segment[] => {
    const words = text.slice(sentence.from, sentence.to);
    const body = words.trimEnd();
    const space = words.slice(body.length);
    if (sentence.is === "kept") {
      const kept = keptWords(words, sentence.edits, beside, said, isFewer, wording);
      isFewer = kept.some(({ kind }) => kind === "removed");
      return kept;
    }
    isFewer = true;
    if (sentence.is === "gone") return [{ text: words, kind: "removed" }];
    return [
      { text: body, kind: "removed" },
      { text: `${anewWords(sentence, step, wording)}${space}`, kind: "changed" },
    ];
  });
  const unsaid = beside.filter((row) => !said.has(row));
  const isCookedHere = ({ role }: VersionRow) => step.timed && COOKED_IN.includes(step.operation) && !LATE.includes(role);
  const first = unsaid.filter(isCookedHere);
  const more = unsaid.filter((row) => !isCookedHere(row));
  if (first.length > 0) segments.unshift({ text: `Put ${listed(first.map((row) => amountWords(row, measures)))} into the pot. `, kind: "changed" });
  if (more.length > 0)
    segments.push({ text: `${endsOpen(segments) ? "." : ""} Add ${listed(more.map((row) => amountWords(row, measures)))}.`, kind: "changed" });
  return singleSpaced(segments.filter((segment) => segment.text !== ""));
}
/** What a step that only tells how long it cooks has in its pot before. */
const COOKED_IN: readonly Operation[] = ["simmer", "reduce", "pressure", "steam", "bake", "roast"];
const LATE: readonly Role[] = ["aroma", "colour", "crunch", "acid", "seasoning"];
/** A sentence said anew, each food by the words of the recipe or, at its first mention, with its amount. */
function anewWords(sentence: Extract<MethodSentence, { is: "anew" }>, step: MethodStep, { rowOfLine, rowOf, named, measures }: Wording): string {
  const of = sentence.of.map(({ line, words }) => {
    const row = rowOfLine.get(line);
    const first = !named.has(line);
    named.add(line);
    const other = row?.change === "replaced" ? row.food : null;
    const name = row && other ? (first ? inAll(amountWords(row, measures)) : `the ${shortName(other)}`) : `the ${words}`;
    const amount = row?.change === "amount" && first ? ` (${formatGrams(row.grams)} g in all)` : "";
    return { line, name: `${name}${amount}`, ...natureOf(row?.food ?? null) };
  });
  // What is melted in water that is not there any more takes a little of what is.
  const water = [...rowOf.values()].find(({ food, grams }) => food?.id === "water" && grams >= 50);
  const isDry = sentence.operation === "dissolve" && of.length > 0 && !of.some(({ isFat, isLiquid }) => isFat || isLiquid);
  if (isDry && water && step.takes.every(({ of: { id } }) => id !== water.id))
    return say(sentence, [...of, { line: water.id, name: "a few spoonfuls of the water", isFat: false, isLiquid: true }]);
  return say(sentence, of);
}

/** A sentence that holds, with the foods and amounts of the version. */
function keptWords(
  text: string,
  struck: readonly Edit[],
  beside: readonly VersionRow[],
  said: Set<VersionRow>,
  isAfterFewer: boolean,
  wording: Wording,
): Segment[] {
  const { find, rowOfLine, named, measures } = wording;
  const mentions = find(text);
  const edits = [...struck];
  const both = edits.length > 0 || isAfterFewer ? /\bboth\b(?: of them)?(?! (?:the|kinds|sides)\b)/i.exec(text) : null;
  if (both) edits.push({ from: both.index, to: both.index + both[0].length, instead: "it" });
  const segments: Segment[] = [];
  let at = 0;
  const plain = (to: number) => {
    if (to > at) segments.push({ text: text.slice(at, to), kind: "plain" });
    at = Math.max(at, to);
  };
  const upTo = (place: number) => {
    for (const { from, to, instead } of edits) {
      if (from < at || from > place) continue;
      plain(from);
      segments.push({ text: text.slice(from, to), kind: "removed" });
      if (instead !== "") segments.push({ text: instead, kind: "changed" });
      at = to;
    }
    if (place > at) plain(place);
  };
  for (const { key: line, words, at: place } of mentions) {
    const row = rowOfLine.get(line);
    if (row) upTo(place);
    if (!row || place < at) continue;
    const greased = row.change !== "as is" && row.change !== "amount" ? greasesAt(text, place, words) : null;
    if (greased?.isVessel === false) {
      // "Butter the bread": what is done with it.
      segments.push({ text: words, kind: "removed" }, { text: row.food ? `Spread ${inAll(amountWords(row, measures))} on` : "Take", kind: "changed" });
      named.add(line);
      at = place + words.length;
      continue;
    }
    if (greased) {
      // "Butter the dish": what is done to it, not what goes in.
      segments.push({ text: words, kind: "removed" }, { text: row.food ? "Grease" : "Line", kind: "changed" }, { text: greased.words, kind: "plain" });
      if (row.food) segments.push({ text: ` with ${shortName(row.food)}`, kind: "changed" });
      at = place + words.length + greased.words.length;
      continue;
    }
    const first = !named.has(line);
    named.add(line);
    const with_ = beside.filter((each) => !said.has(each) && goesBeside(each, row));
    for (const each of with_) said.add(each);
    if (with_.length === 0 && (row.change === "as is" || (row.change === "amount" && !first))) continue;
    const [written, ...rest] = mention(words, row, first, with_, measures);
    const begins = SENTENCE_BEGINS.test(text.slice(Math.max(0, place - 2), place));
    segments.push(...(written ? [begins ? { ...written, text: capital(written.text) } : written] : []), ...rest);
    at = place + words.length;
  }
  upTo(text.length);
  return segments;
}

/** Whether a food is named beside another: both are handled alike. */
const goesBeside = ({ food }: VersionRow, { food: other }: VersionRow): boolean =>
  food !== null &&
  other !== null &&
  handlingKindOf(food) !== null &&
  handlingKindOf(other) !== null &&
  holdsFor(handlingKindOf(other), handlingKindOf(food), ["mix"]);

/** A step's words as they hold now, without what was struck out. */
export const textOf = ({ segments }: StepWords): string =>
  segments
    .filter(({ kind }) => kind !== "removed")
    .map(({ text }) => text)
    .join("");

const listed = (words: readonly string[]): string => (words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`);

/** What a step says that the recipe does not have. */
function newWords({ origin, takes }: MethodStep, { rowOf, handling, simmers, measures, constants }: Wording): string {
  if (origin.kind === "usual")
    return origin.words.replace("{takes}", listed(takes.flatMap(({ of }) => rowOf.get(of.id) ?? []).map((each) => amountWords(each, measures))));
  const row = origin.kind === "recipe" || origin.kind === "boils down" ? undefined : rowOf.get(origin.line);
  if (!row?.food) return "";
  const how = handlingOf(row.food, handling, simmers, constants);
  const words = (origin.kind === "prepares" ? how.prepare : how.add)?.words;
  return words ? filled(words, row, measures) : `Stir in ${amountWords(row, measures)}.`;
}

function mention(original: string, row: VersionRow, first: boolean, beside: readonly VersionRow[], measures: HouseholdMeasures): Segment[] {
  const extra = beside.map((each) => ` and ${amountWords(each, measures)}`).join("");
  const tail: Segment[] = extra ? [{ text: extra, kind: "changed" }] : [];
  if (row.change === "left out" || !row.food)
    return [{ text: original, kind: "removed" }, ...(extra ? [{ text: extra.replace(/^ and /, ""), kind: "changed" } as Segment] : [])];
  if (row.change === "replaced") return [{ text: first ? inAll(amountWords(row, measures)) : shortName(row.food), kind: "changed" }, ...tail];
  if (row.change === "amount") return [{ text: original, kind: "plain" }, { text: ` (${formatGrams(row.grams)} g in all)`, kind: "changed" }, ...tail];
  return [{ text: original, kind: "plain" }, ...tail];
}

function amountWords(row: VersionRow, measures: HouseholdMeasures): string {
  if (!row.food) return "";
  const measure = kitchenMeasure(row.food, row.grams, measures);
  return `${shortName(row.food)} (${measure ? `${measure.text}, ` : ""}${formatGrams(row.grams)} g)`;
}

const inAll = (words: string): string => words.replace(/ g\)$/, " g in all)");

const filled = (template: string, row: VersionRow, measures: HouseholdMeasures) =>
  template
    .replaceAll("{food}", amountWords(row, measures))
    .replace(/\{grams(?:\*([\d.]+))?\}/g, (_, factor?: string) => formatGrams(row.grams * Number(factor ?? 1)));
