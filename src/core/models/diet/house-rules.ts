import type { Food } from "../../food";
import { judge, type Clause, type Rule, type RuleAnswer, type When } from "./rules";

/** A rule set of the household's own: copied from another or begun anew, edited and named. */
export interface OwnRule {
  /** "own-…": so that it never meets a shipped one. */
  readonly id: string;
  readonly name: string;
  /** The rule it was copied from; null where it was begun anew. */
  readonly from: string | null;
  readonly clauses: readonly Clause[];
  /** Who holds to it, and why: elders, a temple's list, a doctor. */
  readonly note: string;
}

/** What a household has laid down about rules: its own sets, and its answers to what rules ask. */
export interface HouseRules {
  readonly own: readonly OwnRule[];
  readonly answers: readonly RuleAnswer[];
}
export const NO_HOUSE_RULES: HouseRules = { own: [], answers: [] };
/** What each set and each answer is known by. */
export const HOUSE_RULE_KEYS = {
  own: ({ id }: OwnRule): string => id,
  answers: ({ rule, food, question }: RuleAnswer): string => `${rule} ${food} ${question}`,
};

/** The rules as this household keeps them: the shipped ones, then its own, each with its answers. */
export function householdRules(shipped: ReadonlyMap<string, Rule>, { own, answers }: HouseRules): ReadonlyMap<string, Rule> {
  const all = [...shipped.values(), ...own.map(ruleOf)];
  return new Map(
    all.map((rule) => {
      const told = answers.filter((answer) => answer.rule === rule.id);
      return [rule.id, told.length > 0 ? { ...rule, answers: told } : rule] as const;
    }),
  );
}

const ruleOf = ({ id, name, clauses, note }: OwnRule): Rule => ({
  id,
  kind: "own",
  name,
  short: name.toLowerCase(),
  school: "usual",
  schoolReason: note,
  clauses: clauses.map((clause) => ({ ...clause, because: clause.because || `is on the list of ${name}` })),
  source: "this household's own list",
});

/** Stands for a rule that a table names and nobody knows any more: it asks about everything. */
export const lostRule = (id: string): Rule => ({
  id,
  kind: "own",
  name: `A rule that is no longer known (${id})`,
  short: "lost rule",
  school: "usual",
  schoolReason: "",
  clauses: [{ verdict: "ask", when: {}, because: "the rule that this table keeps is no longer known: take it off, or choose another" }],
  source: "",
});

/** A rule set begun from another, to be edited: what it says now, under a name of its own. */
export const copyOf = (rule: Rule, id: string): OwnRule => ({
  id,
  name: `${rule.name}, our way`,
  from: rule.id,
  clauses: rule.clauses,
  note: "",
});

export interface OwnRuleProblem {
  readonly field: "name" | "clauses";
  /** Place of the clause, from 0; null where it is none of them. */
  readonly clause: number | null;
  readonly why: string;
  /** It cannot be saved so. */
  readonly grave: boolean;
}

/**
 * What is wrong with an own rule set: no name or another's, nothing said, clauses that contradict each other, that name
 * foods nobody knows, or that never decide anything because those before them do.
 */
export function ownRuleProblems(
  own: OwnRule,
  others: readonly { readonly id: string; readonly name: string }[],
  foods: ReadonlyMap<string, Food>,
): OwnRuleProblem[] {
  const problems: OwnRuleProblem[] = [];
  const tell = (field: OwnRuleProblem["field"], clause: number | null, why: string, grave: boolean) => problems.push({ field, clause, why, grave });
  const name = own.name.trim().toLowerCase();
  if (name === "") tell("name", null, "Give it a name.", true);
  else if (others.some((other) => other.id !== own.id && other.name.trim().toLowerCase() === name))
    tell("name", null, `There is a rule called “${own.name.trim()}” already.`, true);
  if (!own.clauses.some(({ verdict }) => verdict !== "allowed")) tell("clauses", null, "It leaves nothing out yet: say what is avoided or asked about.", false);

  const said = own.clauses.map(({ when }) => canonical(when));
  const left = new Set(foods.keys());
  for (const [i, { verdict, when }] of own.clauses.entries()) {
    const missing = when.foods?.filter((id) => !foods.has(id)) ?? [];
    if (missing.length > 0) tell("clauses", i, `It names a food that is not in the pantry (${missing.join(", ")}).`, true);
    if (said[i] === "{}") tell("clauses", i, "It holds for every food: say for which.", false);
    const twin = said.indexOf(said[i] ?? "");
    if (twin < i) {
      const contradicts = own.clauses[twin]?.verdict !== verdict;
      tell(
        "clauses",
        i,
        contradicts ? `It contradicts line ${twin + 1}, which says ${own.clauses[twin]?.verdict ?? ""} for the same foods.` : `Line ${twin + 1} says the same.`,
        contradicts,
      );
      continue;
    }
    const alone: Rule = { ...ruleOf(own), clauses: [{ verdict: "avoid", when, because: "" }], traces: "as an ingredient" };
    const fit = [...foods.values()].filter((food) => judge(food, alone).verdict === "avoid");
    const decides = fit.filter(({ id }) => left.has(id));
    for (const { id } of fit) left.delete(id);
    if (fit.length === 0 && missing.length === 0) tell("clauses", i, "No food of this kitchen fits it.", false);
    else if (fit.length > 0 && decides.length === 0) tell("clauses", i, "It decides about no food of today: the lines before it do.", false);
  }
  return problems;
}

const canonical = (when: When): string =>
  JSON.stringify(
    Object.fromEntries(
      Object.entries(when)
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([key, value]) => [key, Array.isArray(value) ? [...(value as unknown[])].sort() : (value as unknown)]),
    ),
  );

/** Foods whose verdict differs between two states of the rules, each rule by id; a rule that is new or gone changes nothing by itself. */
export function changedVerdicts(
  before: ReadonlyMap<string, Rule>,
  after: ReadonlyMap<string, Rule>,
  foods: Iterable<Food>,
): ReadonlyMap<string, readonly string[]> {
  const touched = [...after.values()].flatMap((rule) => {
    const was = before.get(rule.id);
    return was && JSON.stringify(was) !== JSON.stringify(rule) ? [{ was, rule }] : [];
  });
  const changed = new Map<string, string[]>();
  if (touched.length === 0) return changed;
  for (const food of foods)
    for (const { was, rule } of touched)
      if (judge(food, was).verdict !== judge(food, rule).verdict) changed.set(rule.id, [...(changed.get(rule.id) ?? []), food.id]);
  return changed;
}
