import { capital, formatGrams, type HouseholdMeasures } from "../units";
import { kitchenMeasure, type LineId, type RecipeStep, type StepId } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { mentionsOfLines, shortName, type NamedLine } from "./build";
import type { Handling, Method, MethodStep, StepCooking } from "./step";

/** After the name of a fat or a flour: a vessel that is greased or dusted with it. */
const GREASES =
  /^ (?:and (?:line|flour|dust) )?(?:the|a|an|your|each|\d{1,2}|some) (?:[a-z0-9-]+ ){0,3}(?:dish(?:es)?|tins?|trays?|moulds?|bowls?|ramekins?|pans?|plates?|thalis?|paper|cups?)\b/i;
const SENTENCE_BEGINS = /^$|[.!?] $/;

/** A piece of a step's words: as the recipe has it, written in anew, or struck out. */
export interface Segment {
  readonly text: string;
  readonly kind: "plain" | "changed" | "removed";
}

/** A step in words, against the recipe's own. */
export interface StepWords {
  /** The step of the method that it says; one that fell away is called by the recipe's step. */
  readonly step: StepId;
  /** The recipe's step; null for one that the version adds. */
  readonly from: StepId | null;
  readonly segments: readonly Segment[];
  /** Why it changed, was added or fell away; empty where it did not. */
  readonly why: string;
}

/** What a method is put into words with. */
export interface WordsGround {
  readonly steps: readonly Pick<RecipeStep, "id" | "text">[];
  readonly lines: readonly NamedLine[];
  readonly handling: ReadonlyMap<string, Handling>;
  readonly measures: HouseholdMeasures;
}

/**
 * A method in words, its steps in order and what fell away where it stood. A step of the recipe keeps its sentences: each
 * mention of a row that changed is replaced, struck out or given its new amount, and what goes in beside it is named there.
 * Amounts are told in the household's measures and in grams.
 */
export function wordsOf(method: Method, version: Version, { steps, lines, handling, measures }: WordsGround): StepWords[] {
  const find = mentionsOfLines(lines);
  const textOf = new Map(steps.map(({ id, text }) => [id, text] as const));
  const rowOfLine = new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const rowOf = new Map(version.rows.map((row) => [row.id, row] as const));
  const named = new Set<LineId>();

  const kept = (step: MethodStep, text: string): readonly Segment[] => {
    const beside = step.takes.flatMap(({ of }) => {
      const row = of.kind === "line" ? rowOf.get(of.id) : undefined;
      return row?.line === null ? [row] : [];
    });
    const said = new Set<VersionRow>();
    const segments: Segment[] = [];
    let at = 0;
    for (const { key: line, words, at: place } of find(text)) {
      const row = rowOfLine.get(line);
      if (!row || place < at) continue;
      const first = !named.has(line);
      named.add(line);
      const with_ = beside.filter((each) => each.role === row.role && !said.has(each));
      for (const each of with_) said.add(each);
      if (with_.length === 0 && (row.change === "as is" || (row.change === "amount" && !first))) continue;
      const [written, ...rest] = mention(words, row, first, with_, measures);
      const begins = SENTENCE_BEGINS.test(text.slice(Math.max(0, place - 2), place));
      const vessel = begins && row.change !== "as is" && row.change !== "amount" ? GREASES.exec(text.slice(place + words.length))?.[0] : undefined;
      if (vessel !== undefined) {
        // "Butter the dish": what is done to it, not what goes in.
        segments.push(
          { text: text.slice(at, place), kind: "plain" },
          { text: words, kind: "removed" },
          { text: row.food ? "Grease" : "Line", kind: "changed" },
          { text: vessel, kind: "plain" },
        );
        if (row.food) segments.push({ text: ` with ${shortName(row.food)}`, kind: "changed" });
        at = place + words.length + vessel.length;
        continue;
      }
      segments.push(
        { text: text.slice(at, place), kind: "plain" },
        ...(written ? [begins ? { ...written, text: capital(written.text) } : written] : []),
        ...rest,
      );
      at = place + words.length;
    }
    segments.push({ text: text.slice(at), kind: "plain" });
    const more = beside.filter((row) => !said.has(row));
    if (more.length > 0) segments.push({ text: ` Add ${more.map((row) => amountWords(row, measures)).join(" and ")}.`, kind: "changed" });
    return segments.filter((segment) => segment.text !== "");
  };

  const toldOf = (step: MethodStep): StepWords => {
    const why = step.reasons.join(", ");
    if (step.origin.kind === "recipe") {
      const segments = kept(step, textOf.get(step.origin.step) ?? "");
      return { step: step.id, from: step.origin.step, segments: step.cooking ? timed(segments, step.cooking) : segments, why };
    }
    return { step: step.id, from: null, segments: [{ text: newWords(step, rowOf, handling, measures), kind: "changed" }], why };
  };
  const fallen = new Map(method.needless.map(({ step, why }) => [step, why] as const));
  const words = method.steps.map(toldOf);
  const order = new Map(steps.map(({ id }, i) => [id, i] as const));
  for (const [step, why] of fallen) {
    const mine = order.get(step) ?? 0;
    const place = words.findIndex(({ from }) => from !== null && (order.get(from) ?? 0) > mine);
    words.splice(place < 0 ? words.length : place, 0, { step, from: step, segments: [{ text: textOf.get(step) ?? "", kind: "removed" }], why });
  }
  return words;
}

const TIME =
  /\bfor (?:about |another |a further )?(?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|an?|half an|[a-z]{3,7}) (?:hours?|minutes?|mins?)\b|\b\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})? ?(?:hours?|minutes?|mins?)\b/i;
const minutesText = (minutes: number) => `${formatGrams(minutes)} ${minutes === 1 ? "minute" : "minutes"}`;

/** The words with the minutes that hold, and what is in the pot then. */
function timed(segments: readonly Segment[], { open, covered, left }: StepCooking): readonly Segment[] {
  const grams = left === null ? "" : formatGrams(Math.round(left / 5) * 5);
  if (open + covered === 0) return [...segments, { text: ` Cook it down to about ${grams} g in the pot.`, kind: "changed" }];
  const times = [
    open > 0 ? `for ${minutesText(open)}` : "",
    covered > 0 ? `${open > 0 ? "then " : ""}for ${minutesText(covered)} on the lowest flame, the lid ajar` : "",
  ];
  const words = `${times.filter(Boolean).join(", ")}${left === null ? "" : ` (to about ${grams} g in the pot)`}`;
  const at = segments.findIndex(({ kind, text }) => kind === "plain" && TIME.test(text));
  const found = TIME.exec(segments[at]?.text ?? "");
  if (!found) return [...segments, { text: ` Cook it ${words}.`, kind: "changed" }];
  const { text } = segments[at] ?? { text: "" };
  const pieces: readonly Segment[] = [
    { text: text.slice(0, found.index), kind: "plain" },
    { text: found[0], kind: "removed" },
    { text: words, kind: "changed" },
    { text: text.slice(found.index + found[0].length), kind: "plain" },
  ];
  return [...segments.slice(0, at), ...pieces.filter(({ text: each }) => each !== ""), ...segments.slice(at + 1)];
}

/** A step's words as they hold now, without what was struck out. */
export const textOf = ({ segments }: StepWords): string =>
  segments
    .filter(({ kind }) => kind !== "removed")
    .map(({ text }) => text)
    .join("");

const listed = (words: readonly string[]): string => (words.length < 2 ? words.join("") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`);

/** What a step says that the recipe does not have. */
function newWords(
  { origin, takes }: MethodStep,
  rowOf: ReadonlyMap<LineId, VersionRow>,
  handling: ReadonlyMap<string, Handling>,
  measures: HouseholdMeasures,
): string {
  if (origin.kind === "usual")
    return origin.words.replace("{takes}", listed(takes.flatMap(({ of }) => rowOf.get(of.id) ?? []).map((each) => amountWords(each, measures))));
  const row = origin.kind === "recipe" || origin.kind === "boils down" ? undefined : rowOf.get(origin.line);
  if (!row?.food) return "";
  const how = handling.get(row.food.id);
  const words = (origin.kind === "prepares" ? how?.prepare : how?.add)?.words;
  return words ? filled(words, row.grams) : `Stir in ${amountWords(row, measures)}.`;
}

function mention(original: string, row: VersionRow, first: boolean, beside: readonly VersionRow[], measures: HouseholdMeasures): Segment[] {
  const extra = beside.map((each) => ` and ${amountWords(each, measures)}`).join("");
  const tail: Segment[] = extra ? [{ text: extra, kind: "changed" }] : [];
  if (row.change === "left out" || !row.food)
    return [{ text: original, kind: "removed" }, ...(extra ? [{ text: extra.replace(/^ and /, ""), kind: "changed" } as Segment] : [])];
  if (row.change === "replaced")
    return [{ text: first ? amountWords(row, measures).replace(/ g\)$/, " g in all)") : shortName(row.food), kind: "changed" }, ...tail];
  if (row.change === "amount") return [{ text: original, kind: "plain" }, { text: ` (${formatGrams(row.grams)} g in all)`, kind: "changed" }, ...tail];
  return [{ text: original, kind: "plain" }, ...tail];
}

function amountWords(row: VersionRow, measures: HouseholdMeasures): string {
  if (!row.food) return "";
  const measure = kitchenMeasure(row.food, row.grams, measures);
  return `${shortName(row.food)} (${measure ? `${measure.text}, ` : ""}${formatGrams(row.grams)} g)`;
}

const filled = (template: string, grams: number) =>
  template.replace(/\{grams(?:\*([\d.]+))?\}/g, (_, factor?: string) => formatGrams(grams * Number(factor ?? 1)));
