import { areKin, type Food, type Reference } from "../food";
import { isStricter, judge, type JudgedLine, type Rule } from "../models/diet";
import { scaleLines, type Archetype, type ReadRecipe, type StepId } from "../recipe";
import { hasChildren, rulesAt, type DiningTable, type Wish } from "../table";
import type { AdaptationProblem, SourceLine } from "./problem";
import type { SubstitutionTables } from "./tables";

export interface ScaledRecipe {
  readonly factor: number;
  readonly lines: readonly SourceLine[];
  readonly evaporation: { readonly value: number; readonly sd: number };
  /** Of it, what lines served apart lose. */
  readonly apart: number;
}

/** The recipe's settled lines and its evaporation, for the table's servings. */
export function scaledFor(read: ReadRecipe, servings: number): ScaledRecipe {
  const factor = servings / read.recipe.servings;
  const caramels = new Set(
    read.steps.flatMap(({ operations, takes }) => (operations.includes("caramelise") ? takes.flatMap(({ of }) => (of.kind === "line" ? [of.id] : [])) : [])),
  );
  const byLine = new Map(read.readings.map((reading) => [reading.line.id, reading] as const));
  const lines = scaleLines(read.lines, factor).map((line): SourceLine => {
    const reading = byLine.get(line.id);
    const caramel = caramels.has(line.id) ? { inCaramel: true as const } : {};
    if (reading?.kind !== "read") return { ...line, ...caramel, optional: false };
    return { ...line, ...caramel, optional: reading.optional, beside: reading.beside };
  });
  return {
    factor,
    lines,
    evaporation: { value: read.evaporation.grams.value * factor, sd: read.evaporation.grams.sd * factor },
    apart: read.evaporation.apart * factor,
  };
}

/** The lines of a recipe as rules judge them: what could not be read is asked about, what is left out is not there. */
export const judgedLines = ({ readings }: Pick<ReadRecipe, "readings">): readonly JudgedLine[] =>
  readings.flatMap((each): JudgedLine[] => {
    if (each.kind === "left out") return [];
    const { text, id: line } = each.line;
    return [{ line, food: each.kind === "food unknown" ? null : each.food, text, beside: each.beside }];
  });

/** A finding about what a step names beside the list. */
export interface StepFinding {
  readonly step: StepId;
  readonly rule: string;
  readonly ruleName: string;
  readonly short: string;
  readonly school: string;
  readonly verdict: "ask" | "avoid";
  readonly reason: string;
  /** Absent where the words were not understood. */
  readonly food?: string;
}

/**
 * What rules make of what steps name and no line lists ("grease a tray with ghee"), in a pot of these foods. What is kin to
 * one of them and no worse by the rule than that is taken to be meant by it; where that food was exchanged, it is not.
 */
export function stepFindings({ unlisted }: Pick<ReadRecipe, "unlisted">, listed: readonly Food[], rules: readonly Rule[]): readonly StepFinding[] {
  return unlisted.flatMap(({ step, food, words, made }) =>
    rules.flatMap((rule): StepFinding[] => {
      const shared = { step, rule: rule.id, ruleName: rule.name, short: rule.short, school: rule.school };
      if (!food) return [{ ...shared, verdict: "ask", reason: `“${words}” is not understood, so it is not known to be safe` }];
      const { verdict, reason } = judge(food, rule);
      if (verdict === "allowed" || listed.some((other) => areKin(food, other) && !isStricter(verdict, judge(other, rule).verdict))) return [];
      if (made) return [{ ...shared, verdict: "ask", reason: `${reason}, unless it is what is made here`, food: food.id }];
      return [{ ...shared, verdict, reason, food: food.id }];
    }),
  );
}

/** The foods that a recipe's lines are of. */
export const listedIn = ({ readings }: Pick<ReadRecipe, "readings">): readonly Food[] => readings.flatMap((each) => ("food" in each ? [each.food] : []));

/** The foods that a version of such a sweet may be made of, beside the recipe's own: all that a solver has to know. */
const candidateFoods = (
  foods: ReadonlyMap<string, Food>,
  { candidates }: SubstitutionTables,
  archetype: Archetype,
  lines: readonly SourceLine[],
  wishes: readonly Wish[],
): ReadonlyMap<string, Food> =>
  new Map(
    [
      "water",
      ...wishes.flatMap((wish) => ("food" in wish ? [wish.food] : [])),
      ...lines.flatMap(({ beside }) => beside?.alternatives.map(({ id }) => id) ?? []),
      ...candidates.flatMap(({ foodId, archetypes }) => (archetypes.includes(archetype) ? [foodId] : [])),
    ].flatMap((id) => {
      const food = foods.get(id);
      return food ? [[id, food] as const] : [];
    }),
  );

/** Sugar that is boiled until it cracks when cold: by name, or by the heat that it is boiled to; not an oven's, nor that of oil to fry in. */
const CRACK = /\b(?:hard|soft)[- ]crack\b|\bcrack stage\b|\bsnaps? (?:cleanly|clean|when cold)\b/i;
const CRACK_HEAT = /\b1(?:3[2-9]|[4-7]\d) ?(?:°|degrees)? ?C\b/i;
const cracksIn = (text: string): boolean =>
  text
    .split(/(?<=[.;]) /)
    .some((said) => CRACK.test(said) || (CRACK_HEAT.test(said) && /\b(?:sugar|syrup|jaggery|honey|boil)/i.test(said) && !/\b(?:oven|bake|oil)\b/i.test(said)));

/** The complete problem of a recipe at a table; a rule id that is not known asks about everything. */
export function problemFor(
  read: ReadRecipe,
  table: DiningTable,
  reference: Reference,
  tables: SubstitutionTables,
  rules: ReadonlyMap<string, Rule>,
  maxProposals: number,
): AdaptationProblem {
  const { lines, evaporation, apart } = scaledFor(read, table.servings);
  const kept = rulesAt(table, rules);
  const { wishes = [] } = table;
  return {
    order: { lines: read.readings.map(({ line }) => line.id), steps: read.steps.map(({ step }) => step.id) },
    archetype: read.archetype,
    lines,
    evaporation,
    apart,
    takenUp: (read.ledger.takenUp * table.servings) / read.recipe.servings,
    judged: judgedLines(read),
    unlisted: read.unlisted,
    unsettled: read.readings.flatMap((each) => {
      const { id: line } = each.line;
      if ("why" in each) return [{ line, text: each.line.text, why: each.why }];
      if ("apart" in each) return [{ line, text: each.line.text, why: "more foods stand in it with amounts of their own" }];
      return each.kind === "read" && each.beside.choice ? [{ line, text: each.line.text, why: "a choice is left" }] : [];
    }),
    servings: table.servings,
    cookMinutes: read.cookMinutes,
    // What is frozen is eaten cold, whatever the table was last set to.
    serve: read.archetype === "frozen" ? "chilled" : table.serve,
    cracks: read.steps.some(({ step: { text }, operations }) => cracksIn(text) && !operations.includes("bake")),
    children: hasChildren(table),
    rules: kept,
    limits: table.limits,
    wishes,
    reference: { ...reference, foods: candidateFoods(reference.foods, tables, read.archetype, lines, wishes) },
    tables,
    maxProposals,
  };
}
