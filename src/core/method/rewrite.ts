import type { Food } from "../food";
import { formatGrams, type HouseholdMeasures } from "../units";
import { kitchenMeasure, mentionsOf, namesOfLine, type LineId, type StepId } from "../recipe";
import type { VersionRow } from "../substitution";

/** A piece of a step: as it was, written in anew, or struck out. */
export interface Segment {
  readonly text: string;
  readonly kind: "plain" | "changed" | "removed";
}

export interface RewrittenStep {
  /** The recipe's step; null for one that the version adds. */
  readonly from: StepId | null;
  readonly segments: readonly Segment[];
  /** Why it changed or was added; empty where it did not. */
  readonly why: string;
}

/** How a food is got ready and goes in; `{grams}` and `{grams*0.27}` stand for amounts. */
export interface Handling {
  readonly prepare?: string;
  /** How it goes in where the recipe has no food of its role. */
  readonly add?: string;
}

/** A recipe line as the steps may name it. */
export interface NamedLine {
  readonly id: LineId;
  readonly food: Food;
  /** The words of the line without its amount. */
  readonly description: string;
}

/**
 * Writes a version's foods into the recipe's steps: each mention of a line that changed is replaced, struck out or given
 * its new amount; foods added are named beside the first line of their role, or get a step of their own; what has to be
 * got ready beforehand comes first. `drivenOff` are grams of water, as handed down and now;
 * amounts are told in the household's measures. Steps in `needless` (with the reason) are struck out whole.
 */
export function rewriteSteps(
  steps: readonly { readonly id: StepId; readonly text: string }[],
  lines: readonly NamedLine[],
  rows: readonly VersionRow[],
  handling: ReadonlyMap<string, Handling>,
  drivenOff: { readonly recipe: number; readonly version: number },
  measures: HouseholdMeasures,
  needless: ReadonlyMap<StepId, string> = new Map(),
): RewrittenStep[] {
  const find = mentionsOf(lines.map(({ id, food, description }) => ({ key: id, names: namesOfLine(description, food) })));
  const byLine = new Map(rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const added = rows.filter((row) => row.change === "added" && row.food);
  const named = new Set<LineId>();
  const placed = new Set<VersionRow>();

  const rewritten = steps.map(({ id: from, text: step }): RewrittenStep => {
    const dropped = needless.get(from);
    if (dropped !== undefined) return { from, segments: [{ text: step, kind: "removed" }], why: `needless: ${dropped}` };
    const segments: Segment[] = [];
    const reasons = new Set<string>();
    let at = 0;
    for (const { key: line, words, at: place } of find(step)) {
      const row = byLine.get(line);
      if (!row) continue;
      const first = !named.has(line);
      named.add(line);
      const beside = first ? added.filter((each) => each.role === row.role && !placed.has(each)) : [];
      for (const each of beside) placed.add(each);
      if (row.change === "as is" && beside.length === 0) continue;
      if (row.change === "amount" && !first) continue;
      segments.push({ text: step.slice(at, place), kind: "plain" }, ...mention(words, row, first, beside, measures));
      if (row.change !== "amount" && row.why) reasons.add(row.why);
      at = place + words.length;
    }
    segments.push({ text: step.slice(at), kind: "plain" });
    return { from, segments: segments.filter((segment) => segment.text !== ""), why: [...reasons].join(", ") };
  });

  const before: RewrittenStep[] = [];
  const after: RewrittenStep[] = [];
  for (const row of rows) {
    if (!row.food || row.change === "as is" || row.change === "amount") continue;
    const how = handling.get(row.food.id);
    if (how?.prepare) before.push(newStep(fill(how.prepare, row.grams), `for the ${shortName(row.food)}`));
    if (row.change === "added" && !placed.has(row))
      after.push(newStep(how?.add ? fill(how.add, row.grams) : `Stir in ${amountWords(row, measures)}.`, row.why));
  }
  if (drivenOff.recipe > 20 && Math.abs(drivenOff.version / drivenOff.recipe - 1) > 0.25)
    after.push(
      newStep(
        `Cook it down by about ${formatGrams(drivenOff.version)} g in all, instead of ${formatGrams(drivenOff.recipe)} g: weigh the pot, or stop when it looks as thick as it should.`,
        "a plant milk is not boiled down",
      ),
    );
  const middle = Math.max(
    1,
    rewritten.findIndex((step) => step.segments.some(({ text }) => /\b(sugar|sweeten|jaggery|syrup)/i.test(text))),
  );
  const place = rewritten.length === 0 ? 0 : Math.min(rewritten.length, middle);
  return [...before, ...rewritten.slice(0, place), ...after, ...rewritten.slice(place)];
}

const newStep = (text: string, why: string): RewrittenStep => ({ from: null, segments: [{ text, kind: "changed" }], why });

function mention(original: string, row: VersionRow, first: boolean, beside: readonly VersionRow[], measures: HouseholdMeasures): Segment[] {
  const extra = beside.map((each) => ` and ${amountWords(each, measures)}`).join("");
  const tail: Segment[] = extra ? [{ text: extra, kind: "changed" }] : [];
  if (row.change === "left out" || !row.food)
    return [{ text: original, kind: "removed" }, ...(extra ? [{ text: extra.replace(/^ and/, ""), kind: "changed" } as Segment] : [])];
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

const shortName = (food: Food) => (food.name.toLowerCase().split(/,| ?\(/)[0] ?? "").trim();

const fill = (template: string, grams: number) =>
  template.replace(/\{grams(?:\*([\d.]+))?\}/g, (_, factor?: string) => formatGrams(grams * Number(factor ?? 1)));
