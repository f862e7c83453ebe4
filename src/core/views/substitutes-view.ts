import { groundOf, type StoredBench } from "../adaptation";
import { evaluatePoint, type PropertyId } from "../evaluate";
import type { Food } from "../food";
import type { Kitchen } from "../kitchen";
import { findings } from "../models/diet";
import { kitchenMeasure, type LineId } from "../recipe";
import { beamReadings, limitFindings, ratioSwap, versionInput, type AdaptationProblem, type BeamReading, type Version, type VersionRow } from "../substitution";
import type { DiningTable } from "../table";
import { weighable } from "../units";
import { groundOfBench, laidBench, type BenchGround } from "./bench-ground";
import { brokenBy } from "./found-foods";
import type { NamedFood } from "./recipe-view";

/** An open row of a bench. */
export interface SubstitutesQuestion extends BenchGround {
  readonly bench: StoredBench | null;
  readonly row: LineId;
}

/** A food that could stand in a row, with its amount by one ratio and what it would do. */
export interface ToldOption {
  readonly food: NamedFood;
  /** The line itself names it, to choose from. */
  readonly isNamed: boolean;
  readonly grams: number;
  readonly measure: string;
  /** What is kept the same: "as sweet". */
  readonly keeps: string;
  /** Water that it brings (above 0) or takes away, g. */
  readonly water: number;
  readonly beams: readonly BeamReading[];
}

export interface SubstitutesView {
  /** What the line as handed down breaks. */
  readonly reasons: readonly { readonly rule: string; readonly ruleName: string; readonly isAsked: boolean; readonly reason: string }[];
  /** Ranked, the best first. */
  readonly options: readonly ToldOption[];
  readonly refused: readonly { readonly food: NamedFood; readonly why: string }[];
  /** The properties that the options are told by. */
  readonly shown: readonly PropertyId[];
}

const MOST_OPTIONS = 5;
/** More than any option can be off. */
const FIRST = 1000;

interface OpenRow {
  readonly version: Version;
  readonly row: VersionRow;
  /** What it is exchanged for. */
  readonly from: { readonly food: Food; readonly grams: number } | null;
}

/** A row of a bench, as laid for recipe and table; null where it is not (any more) there. */
function openRow({ recipe, table, bench, row: id }: SubstitutesQuestion, kitchen: Kitchen): OpenRow | null {
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const { version } = laidBench(bench, ground, table, kitchen)?.state ?? ground.handedDown;
  const row = version.rows.find((each) => each.id === id);
  if (!row) return null;
  const source = ground.problem.lines.find((line) => line.id === row.line);
  const from = row.food ? { food: row.food, grams: row.grams } : source ? { food: source.food, grams: source.grams } : null;
  return { version, row, from };
}

/** Foods that could stand in a row of a bench, ranked, with amounts by ratio and what each would do; those that no rule allows apart. */
export function substitutesView(question: SubstitutesQuestion, kitchen: Kitchen): SubstitutesView {
  const { problem, ...ground } = groundOfBench(question, kitchen);
  const { table } = question;
  const open = openRow(question, kitchen);
  const served: readonly PropertyId[] = table.serve === "hot" ? ["sweetness.hot", "body.hot"] : ["sweetness.chilled", "body.chilled"];
  return {
    reasons: open ? reasonsOf(open.row, problem) : [],
    ...(open ? ranked(open, { problem, ...ground }, table) : { options: [], refused: [] }),
    shown: [...served, "richness", "serving.freeSugarsUk", "serving.freeSugarsWho", "serving.energy"],
  };
}

function reasonsOf({ line }: VersionRow, problem: AdaptationProblem): SubstitutesView["reasons"] {
  const source = problem.lines.find(({ id }) => id === line);
  if (!source) return [];
  return [
    ...findings([{ line: source.id, food: source.food, text: "" }], problem.rules),
    ...limitFindings(problem).filter((each) => each.line === source.id),
  ].map(({ rule, ruleName, verdict, reason }) => ({ rule, ruleName, isAsked: verdict === "ask", reason }));
}

function ranked(
  { version, row, from }: OpenRow,
  { problem, read, before }: ReturnType<typeof groundOfBench>,
  table: DiningTable,
): Pick<SubstitutesView, "options" | "refused"> {
  const options: (ToldOption & { readonly off: number })[] = [];
  const refused: { food: NamedFood; why: string }[] = [];
  if (!from) return { options, refused };
  const { constants } = problem.reference;
  const source = problem.lines.find(({ id }) => id === row.line);
  const named = new Set(source?.beside?.alternatives.map(({ id }) => id));
  const offered = [
    ...[...named].map((foodId) => ({ role: row.role, foodId, most: 1000, affinity: 0, archetypes: [problem.archetype] })),
    ...problem.tables.candidates.filter(({ foodId }) => !named.has(foodId)),
  ];
  for (const candidate of offered) {
    const food = problem.reference.foods.get(candidate.foodId);
    if (!food || candidate.role !== row.role || !candidate.archetypes.includes(problem.archetype) || food.id === row.food?.id) continue;
    const told = { id: food.id, name: food.name };
    const broken = brokenBy(food, problem.rules);
    if (broken) {
      refused.push({ food: told, why: broken.short });
      continue;
    }
    const swap = ratioSwap(from.food, from.grams, food, row.role, table.serve, constants);
    if (!swap) continue;
    if (swap.grams > (candidate.most * before.figures.yield.value) / 100 || version.rows.some((each) => each.food?.id === food.id)) continue;
    const grams = weighable(swap.grams);
    const tried = { ...version, rows: version.rows.map((each) => (each.id === row.id ? { ...each, food, grams, change: exchanged(each) } : each)) };
    const figures = evaluatePoint(versionInput(tried, groundOf(read, table)), constants);
    const beams = beamReadings(before.figures, figures, problem.limits, table.serve, constants);
    options.push({
      food: told,
      isNamed: named.has(food.id),
      grams,
      measure: kitchenMeasure(food, grams, read.measures)?.text ?? "weighed",
      keeps: swap.keeps,
      water: swap.water,
      beams,
      // What the recipe itself names to choose from comes first.
      off: offBy(beams) + candidate.affinity / 4 - (named.has(food.id) ? FIRST : 0),
    });
  }
  return {
    options: options
      .sort((a, b) => a.off - b.off)
      .slice(0, MOST_OPTIONS)
      .map(({ off: _, ...option }) => option),
    refused,
  };
}

/** How a row is changed by another food in it. */
const exchanged = ({ line }: Pick<VersionRow, "line">): VersionRow["change"] => (line === null ? "added" : "replaced");

/**
 * How far a version is off, to rank by: each property outside its wedge counts 1, and a quarter for each wedge's width that it is away, at most two.
 * @unit none
 * @range 0 or more
 * @source rule of thumb
 */
const offBy = (beams: readonly BeamReading[]): number =>
  beams.reduce(
    (sum, { deviation: { state, wedge, relative } }) => sum + (state === "outside" ? 1 : 0) + (wedge > 0 ? Math.min(2, Math.abs(relative) / wedge) / 4 : 0),
    0,
  );

/** A food that is taken for a row by hand. */
export interface ExchangeQuestion extends SubstitutesQuestion {
  readonly food: string;
}

/**
 * The grams of it that do for what stands there, by one ratio (`ratioSwap`); 10 where nothing stood there. Null where food or row are not there.
 * @unit g
 * @range 0 or more
 * @source ratioSwap
 */
export function exchangeGrams({ food: id, ...question }: ExchangeQuestion, kitchen: Kitchen): number | null {
  const food = kitchen.reference.foods.get(id);
  const open = openRow(question, kitchen);
  if (!food || !open) return null;
  const { from, row } = open;
  const swap = from ? ratioSwap(from.food, from.grams, food, row.role, question.table.serve, kitchen.reference.constants) : null;
  return swap ? Math.round(swap.grams * 10) / 10 : (from?.grams ?? 10);
}
