import { wantedAt } from "./palates";
import { cautionInput, cautionsFor, mistakes, saidClaims, vesselFindings, type Caution, type SaidClaim, type VesselFinding } from "../cautions";
import { evaluatePoint, isEatenFrozen, propertyOf, type Figures } from "../evaluate";
import { NO_EQUIPMENT } from "../household";
import { openRecipe, openTable, type Kitchen } from "../kitchen";
import { findings, type Finding, type Rule, type Verdict } from "../models/diet";
import type { LineId, ReadRecipe, Recipe } from "../recipe";
import { recipeInput } from "../adaptation";
import {
  concernsAllergy,
  inOrder,
  judgedLines,
  limitFindings,
  limitProperty,
  listedIn,
  partedPortions,
  ruleMeetings,
  standingOf,
  stepFindings,
  type AdaptationProblem,
} from "../substitution";
import { LIMIT_IDS, type DiningTable, type LimitId } from "../table";
import { lowerFirst } from "../units";

/** What is said of a rule where it is chosen or kept. */
export type RuleWords = Pick<Rule, "id" | "kind" | "name" | "short" | "school" | "schoolReason" | "traces">;

/** Something that a rule or a limit has to say to a line or a step. */
export interface ToldFinding extends Pick<Finding, "rule" | "ruleName" | "school" | "verdict" | "reason"> {
  /** What is told of one place stands together. */
  readonly place: string;
  /** The line or step as written, and which part or step that is. */
  readonly text: string;
  readonly where: string;
  /** The food it is about; undefined where that could not be read. */
  readonly food: string | undefined;
  readonly isAllergy: boolean;
}

/** A portion that a step parts from the pot, under one rule. */
export interface ToldPortion {
  readonly number: number;
  readonly text: string;
  readonly rule: string;
  readonly short: string;
  readonly verdict: Verdict;
  readonly reason: string;
}

/** Two rules that get into each other's way; foods by their names. */
export interface ToldMeeting {
  readonly rule: RuleWords;
  readonly other: RuleWords;
  /** Null where it is one rule in two schools. */
  readonly standIns: { readonly role: string; readonly taken: readonly string[]; readonly left: readonly string[] } | null;
}

/** A food that is often taken for another, and what that would do here. */
export interface ToldMistake {
  readonly line: string;
  readonly food: string;
  readonly other: string;
  readonly apart: string;
  /** "sweetness 13 → 12 g". */
  readonly changes: readonly string[];
  readonly breaks: readonly string[];
}

/** Another sweet of the occasion. */
export interface ToldSweet {
  readonly id: string;
  readonly title: string;
  readonly breaks: readonly string[];
  /** A serving of it, by limit; null where not every line is read. */
  readonly serving: Serving | null;
}

/** What a serving comes to, by what limits are set for. */
export type Serving = Readonly<Record<LimitId, number>>;

/** What the Table station shows from: documents as they stand. */
export interface TableQuestion {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly others: readonly { readonly id: string; readonly recipe: Recipe }[];
}

/** All that the Table station shows and that has to be computed; it can be cloned. */
export interface TableView {
  readonly thread: { readonly asked: number; readonly lines: number; readonly steps: number };
  /** Of the lines that are read, as the recipe makes it: by them a batch can be measured. */
  readonly foods: readonly { readonly line: LineId; readonly name: string; readonly grams: number }[];
  /** Every rule, and those of them that are offered. */
  readonly rules: readonly RuleWords[];
  readonly offered: readonly string[];
  /** It is eaten frozen: nothing else is to be chosen. */
  readonly isFrozen: boolean;
  /** °C. */
  readonly temperatures: { readonly hot: number; readonly chilled: number };
  readonly kept: readonly RuleWords[];
  /** Of this sweet, as handed down. */
  readonly serving: Serving;
  /** Sugar in one serving that makes the least difference that is noticed, g. */
  readonly noticedSugar: number;
  /** How those who sit here want it, as their answers to batches say. */
  readonly wanted: ReturnType<typeof wantedAt>;
  readonly findings: readonly ToldFinding[];
  readonly parted: readonly ToldPortion[];
  readonly meetings: readonly ToldMeeting[];
  readonly cautions: readonly Caution[];
  readonly vessels: readonly VesselFinding[];
  readonly mistaken: readonly ToldMistake[];
  readonly said: readonly SaidClaim[];
  readonly others: readonly ToldSweet[];
}

const MOST_MISTAKEN = 4;

/** What the Table station shows of a recipe at a table, in a kitchen. */
export function tableView({ recipe, table, others }: TableQuestion, kitchen: Kitchen): TableView {
  const { reference, rules, diets } = kitchen;
  const { constants } = reference;
  const read = openRecipe(recipe, kitchen);
  const problem = openTable(read, table, kitchen);
  const figures = evaluatePoint(problem, constants);
  const sweetness = figures[table.serve === "hot" ? "sweetness.hot" : "sweetness.chilled"].value;
  return {
    thread: { asked: read.unresolved.length, lines: read.lines.length, steps: recipe.steps.length },
    foods: read.readings.flatMap((each) => (each.kind === "read" ? [{ line: each.line.id, name: each.food.name, grams: each.grams.value }] : [])),
    rules: [...rules.values()].map(ruleWords),
    offered: diets.map(({ id }) => id),
    isFrozen: isEatenFrozen(figures),
    temperatures: { hot: constants.temperatures.hot, chilled: constants.temperatures.chilled },
    kept: problem.rules.map(ruleWords),
    serving: servingOf(figures, table),
    noticedSugar: (constants.noticeable.value.sweetness * sweetness * figures.servingMass.value) / 100,
    wanted: wantedAt(table, constants),
    findings: toldFindings(read, problem, rules),
    parted: partedPortions(read, standingOf(problem, null), problem.rules).map(({ number, rule, short, verdict, reason }) => ({
      number,
      text: sentence(read.steps[number - 1]?.step.text),
      rule,
      short,
      verdict,
      reason,
    })),
    meetings: ruleMeetings(problem).map((meeting) => ({
      rule: ruleWords(meeting.rule),
      other: ruleWords(meeting.other),
      standIns:
        meeting.kind === "schools" ? null : { role: meeting.role, taken: meeting.taken.map(({ name }) => name), left: meeting.left.map(({ name }) => name) },
    })),
    ...toMind(read, table, problem, kitchen),
    others: others.map((other) => toldSweet(other, table, problem.rules, kitchen)),
  };
}

export const ruleWords = ({ id, kind, name, short, school, schoolReason, traces }: Rule): RuleWords => ({
  id,
  kind,
  name,
  short,
  school,
  schoolReason,
  ...(traces === undefined ? {} : { traces }),
});

const sentence = (text = ""): string => text.replace(/\.$/, "");

/** A limit of the table counts in its school. */
const servingOf = (figures: Figures, { limits }: DiningTable): Serving =>
  Object.fromEntries(
    LIMIT_IDS.map((id) => [id, figures[limitProperty(limits.find((limit) => limit.id === id) ?? { id, most: 0, school: "uk" })].value]),
  ) as Record<LimitId, number>;

/** What breaks which wish, line by line and step by step, in their order. */
function toldFindings(read: ReadRecipe, problem: AdaptationProblem, rules: ReadonlyMap<string, Rule>): ToldFinding[] {
  const { byLine, structure, steps } = read;
  const lines = inOrder([...findings(judgedLines(read), problem.rules), ...limitFindings(problem)], problem.order).map((finding) => {
    const line = byLine.get(finding.line)?.line;
    const part = line?.component === undefined ? undefined : structure.components.get(line.component)?.name;
    return { ...finding, place: `line ${finding.line}`, text: line?.text ?? "", where: part ? `, for the ${part.toLowerCase()}` : "" };
  });
  const inSteps = stepFindings(read, listedIn(read), problem.rules).map((finding) => {
    const at = steps.findIndex(({ step }) => step.id === finding.step);
    return { ...finding, place: `step ${finding.step}`, text: sentence(steps[at]?.step.text), where: `, in step ${at + 1}` };
  });
  return [...lines, ...inSteps].map(({ place, text, where, rule, ruleName, school, verdict, reason, food }) => ({
    place,
    text,
    where,
    rule,
    ruleName,
    school,
    verdict,
    reason,
    food,
    isAllergy: concernsAllergy(rules.get(rule)),
  }));
}

/** What to mind: usual cautions, pans and tools, foods taken for others, what the recipe says of itself. */
function toMind(
  read: ReadRecipe,
  table: DiningTable,
  { rules: kept }: AdaptationProblem,
  { reference, rules, cautions, lookAlikes, books, retention, household }: Kitchen,
): Pick<TableView, "cautions" | "vessels" | "mistaken" | "said"> {
  const known = read.lines.map(({ food, grams }) => ({ food, grams }));
  const unweighed = judgedLines(read).flatMap(({ food }) => (food && !known.some((each) => each.food.id === food.id) ? [{ food, grams: 0 }] : []));
  const input = cautionInput(read, [...known, ...unweighed], read.recipe.servings, [...read.ledger.pressedIn.keys()]);
  return {
    cautions: cautionsFor({ ...input, table }, cautions),
    vessels: vesselFindings(read, table.servings / read.recipe.servings, table.serve === "chilled", household.equipment ?? NO_EQUIPMENT, kept),
    mistaken: mistakes(read, table, lookAlikes, reference, kept)
      .slice(0, MOST_MISTAKEN)
      .map(({ line, food, other, apart, changes, breaks }) => ({
        line,
        food: food.name,
        other: other.name,
        apart,
        changes: changes.map(({ property, before, after }) => {
          const { name, unit } = propertyOf(property);
          return `${lowerFirst(name)} ${rounded(before, unit)} → ${rounded(after, unit)}`;
        }),
        breaks: breaks.map(({ short }) => short),
      })),
    said: saidClaims(read, { rules, books, retention, constants: reference.constants }),
  };
}

const rounded = (value: number, unit: string): string => `${Math.abs(value) < 10 ? value.toFixed(1) : Math.round(value)}${unit ? ` ${unit}` : ""}`;

function toldSweet({ id, recipe }: TableQuestion["others"][number], table: DiningTable, kept: readonly Rule[], kitchen: Kitchen): ToldSweet {
  const read = openRecipe(recipe, kitchen);
  const broken = findings(judgedLines(read), kept).filter(({ verdict }) => verdict === "avoid");
  const figures = evaluatePoint(recipeInput(read, { ...table, servings: recipe.servings }), kitchen.reference.constants);
  return {
    id,
    title: recipe.title,
    breaks: [...new Set(broken.map(({ short }) => short))],
    serving: read.unresolved.length > 0 ? null : servingOf(figures, table),
  };
}
