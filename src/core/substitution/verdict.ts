import { capital } from "../units";
import { evaluate, type Figures } from "../evaluate";
import { findings, type Finding, type Rule } from "../models/diet";
import { stepFindings } from "./problem-for";
import { isAllergyRule, LIMIT_NAMES, notAsked, whoseRules, type DiningTable, type Limit, type LimitId } from "../table";
import { limitProperty } from "./open-roles";
import type { LineId, StepId } from "../recipe";
import type { AdaptationProblem } from "./problem";
import { versionInput, type Version, type VersionRow } from "./version";

/** Where something stands: in a line of the recipe, in a step, or at a limit; all null for a food that was added. */
interface Place {
  readonly line: LineId | null;
  readonly step: StepId | null;
  readonly limit: LimitId | null;
}
/** What has to be answered before it can be said whether a sweet fits its table. */
export interface Question extends Place {
  /** The rule that asks; null where every rule and limit waits for it. */
  readonly rule: string | null;
  /** What the rule is called in few words; null beside null. */
  readonly short: string | null;
  readonly text: string;
}
/** What breaks a rule or passes a limit of the table. */
export interface Breach extends Place {
  readonly rule: string;
  readonly short: string;
  readonly reason: string;
}

/** What is known of a sweet at a table. It fits only where both lists are empty. */
export interface Standing {
  readonly breaches: readonly Breach[];
  readonly questions: readonly Question[];
}

/** What the rules make of a row of a version: of its food, and of what the words of its line name beside where that stays. */
export function rowFindings(
  { judged, rules }: AdaptationProblem,
  { line, food, grams, change }: Pick<VersionRow, "line" | "food" | "grams" | "change">,
): readonly Finding[] {
  if (!food || grams <= 0) return [];
  const source = line === null ? undefined : judged.find((each) => each.line === line);
  const stays = change === "as is" || change === "amount";
  return findings([{ line: line ?? "", food, text: source?.text ?? "", ...(stays && source?.beside ? { beside: source.beside } : {}) }], rules);
}

/** The one place where it is decided what breaks a table and what is not known, of the recipe itself (null) or of a version. */
export function standingOf(problem: AdaptationProblem, version: Version | null, given?: Figures): Standing {
  const { judged, unlisted, rules, limits } = problem;
  const figures = given ?? figuresOf(problem, version);
  const breaches: Breach[] = [];
  const questions: Question[] = [];
  const take = ({ rule, short, verdict, reason, ...place }: Finding | (Omit<Finding, "line"> & Place)) => {
    const { line, step = null, limit = null } = place as Partial<Place>;
    const at = { line: line ?? null, step, limit };
    if (verdict === "avoid") breaches.push({ ...at, rule, short, reason });
    else questions.push({ ...at, rule, short, text: `${reason} (${short}).` });
  };

  if (version === null) findings(judged, rules).forEach(take);
  else {
    for (const { line, food, grams, change } of version.rows) {
      if (line !== null && problem.parted?.has(line)) continue;
      const found = rowFindings(problem, { line, food, grams, change });
      for (const each of found) take({ ...each, line, step: null, limit: null });
    }
    // What could not be read is in no version; whoever cooks by the recipe has it before them all the same.
    const absent = judged.filter(({ line, food }) => food === null && !version.rows.some((row) => row.line === line));
    for (const each of findings(absent, rules)) take(each.verdict === "avoid" ? { ...each, verdict: "ask" } : each);
  }
  const foods = (version?.rows ?? judged).flatMap(({ food }) => food ?? []);
  for (const { step, ...each } of stepFindings({ unlisted }, foods, rules)) take({ ...each, line: null, step, limit: null });

  for (const { line, text, why } of problem.unsettled)
    if (version === null || version.rows.every((row) => row.line !== line || row.change === "as is" || row.change === "amount"))
      questions.push({ line, step: null, limit: null, rule: null, short: null, text: `“${text}”: ${why}.` });
  for (const limit of limits) {
    const figure = figures[limitProperty(limit)];
    const { name, unit } = LIMIT_NAMES[limit.id];
    const at = { line: null, step: null, limit: limit.id };
    const words = (amount: number) => `${amount.toFixed(amount < 10 ? 1 : 0)} ${unit}`.trim();
    if (figure.value > limit.most * 1.001)
      breaches.push({
        ...at,
        rule: `limit-${limit.id}`,
        short: limitShort(limit),
        reason: `${words(figure.value)} ${name} a serving; the limit is ${limit.most} ${unit}`.trim(),
      });
    else if (figure.high > limit.most)
      questions.push({
        ...at,
        rule: `limit-${limit.id}`,
        short: null,
        text:
          `${capital(name)} may pass the limit: ${words(figure.value)}, at most ${words(figure.high)} a serving (the limit is ${limit.most} ${unit}`.trim() +
          "). Weigh what gives most of it.",
      });
  }
  return {
    breaches: unique(breaches, ({ line, step, rule, reason }) => `${line} ${step} ${rule} ${reason}`),
    questions: unique(questions, ({ line, step, limit, text }) => `${line} ${step} ${limit} ${text}`),
  };
}

const limitShort = ({ id, most }: Limit) => `${LIMIT_NAMES[id].name} over ${most} ${LIMIT_NAMES[id].unit}`.trim();
const unique = <T>(items: readonly T[], key: (item: T) => string): readonly T[] => [...new Map(items.map((item) => [key(item), item] as const)).values()];

function figuresOf(problem: AdaptationProblem, version: Version | null): Figures {
  const { constants } = problem.reference;
  if (version === null) return evaluate(problem, constants).figures;
  return evaluate(versionInput(version, problem), constants).figures;
}

const LEAD_SHARE = 0.1;

/** Whether what leads the sweet (its grain, pulse or milk) may stand among the lines that could not be read. */
export function leadUnread({ archetype, lines, unsettled, tables }: AdaptationProblem): boolean {
  if (unsettled.length === 0) return false;
  const all = lines.reduce((sum, { grams }) => sum + grams, 0);
  const leads: readonly string[] = archetype === "flour halwa" ? ["body"] : [...(tables.profiles.get(archetype)?.lead ?? []), "body", "bulk", "liquid"];
  return !lines.some(({ role, food, grams }) => leads.includes(role) && food.id !== "water" && grams >= LEAD_SHARE * all);
}

/** What is asked, in sentences: what several rules ask alike is asked once, with all of them. */
export function questionWords(questions: readonly Question[]): readonly string[] {
  const shorts = new Map<string, string[]>();
  for (const { text, short } of questions) {
    const asked = short === null ? text : text.slice(0, -` (${short}).`.length);
    shorts.set(asked, [...(shorts.get(asked) ?? []), ...(short === null ? [] : [short])]);
  }
  return [...shorts].map(([asked, of]) => (of.length === 0 ? asked : `${asked} (${[...new Set(of)].join(", ")}).`));
}

/** What is known of a version at its table, as it is kept with it and told wherever the version is. */
export interface TableVerdict {
  readonly kind: "fits" | "cannot tell" | "over a limit" | "not for";
  /** Whose wishes it breaks, by name; the wishes themselves where nobody sits at the table. */
  readonly notFor: readonly string[];
  readonly breaches: readonly string[];
  readonly questions: readonly string[];
  /** Of portions that steps part from it, how they stand where the whole does not fit; absent where none is. */
  readonly parted?: readonly string[];
}

export function tableVerdict(
  { breaches, questions }: Standing,
  { order }: Pick<AdaptationProblem, "order">,
  table: DiningTable,
  parted: readonly string[] = [],
): TableVerdict {
  const rules = breaches.filter(({ limit }) => limit === null);
  const whose = whoseRules(table);
  const unasked = notAsked(table).map(({ name }) => `Nobody has asked ${name} about allergies yet.`);
  const notFor = [...new Set(rules.flatMap(({ rule, short }) => (whose.get(rule)?.length ? (whose.get(rule) ?? []) : [`who keeps “${short}”`])))];
  return {
    kind: rules.length > 0 ? "not for" : breaches.length > 0 ? "over a limit" : questions.length + unasked.length > 0 ? "cannot tell" : "fits",
    notFor,
    breaches: breaches.map(({ short, reason, step }) => `${stepWords(step, order)}${short}: ${reason}`),
    questions: [...questionWords(questions), ...unasked],
    ...(parted.length > 0 ? { parted } : {}),
  };
}

function stepWords(step: StepId | null, { steps }: AdaptationProblem["order"]): string {
  if (step === null) return "";
  const at = steps.indexOf(step);
  return at < 0 ? "A step in your own words, " : `The recipe’s step ${at + 1}, `;
}

/** The verdict in few words, for where there is room for little: a count of beams never stands beside a breach. */
export function fitWords(
  verdict: Pick<TableVerdict, "kind" | "notFor" | "questions"> | null,
  { inside, of }: { readonly inside: number; readonly of: number },
): string {
  if (verdict?.kind === "not for") return `not for ${verdict.notFor.join(", ")}`;
  const asked = verdict?.questions.length ?? 0;
  return `${inside} of ${of} inside${asked > 0 ? `, ${asked} to ask` : ""}`;
}

/** Whether a rule may be kept for an allergy's sake, so that what is said of it has to be sure. */
export const concernsAllergy = (rule: Pick<Rule, "id" | "kind"> | undefined): boolean =>
  rule !== undefined && (rule.kind === "allergy" || isAllergyRule(rule.id));

/** Of each allergy at a table: whether something breaks it, is to be asked, or nothing is known to hold it. */
export interface AllergyState {
  readonly rule: string;
  readonly short: string;
  readonly who: readonly string[];
  readonly state: "breaks" | "to ask" | "none known";
}
export function allergyStates({ breaches, questions }: Standing, { rules }: AdaptationProblem, table: DiningTable): readonly AllergyState[] {
  const whose = whoseRules(table);
  return rules.filter(concernsAllergy).map(({ id, short }) => ({
    rule: id,
    short,
    who: whose.get(id) ?? [],
    state: breaches.some(({ rule }) => rule === id) ? "breaks" : questions.some(({ rule }) => rule === id || rule === null) ? "to ask" : "none known",
  }));
}
