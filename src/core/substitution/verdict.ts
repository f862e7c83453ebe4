import { evaluate, type Figures } from "../evaluate";
import { findings, type Finding } from "../models/diet";
import { limitProperty } from "./open-roles";
import { LIMIT_NAMES, type AdaptationProblem, type Limit, type LimitId } from "./problem";
import { versionLines, type Version } from "./version";

/** Where something stands: in a line of the recipe, in a step, or at a limit; all null for a food that was added. */
interface Place {
  readonly line: number | null;
  readonly step: number | null;
  readonly limit: LimitId | null;
}
/** What has to be answered before it can be said whether a sweet fits its table. */
export interface Question extends Place {
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

/** The one place where it is decided what breaks a table and what is not known, of the recipe itself (null) or of a version. */
export function standingOf(problem: AdaptationProblem, version: Version | null, given?: Figures): Standing {
  const { judged, inSteps, rules, limits, reference } = problem;
  const figures = given ?? figuresOf(problem, version);
  const breaches: Breach[] = [];
  const questions: Question[] = [];
  const take = ({ rule, short, verdict, reason, ...place }: Finding | (Omit<Finding, "line"> & Place)) => {
    const { line, step = null, limit = null } = place as Partial<Place>;
    const at = { line: line ?? null, step, limit };
    if (verdict === "avoid") breaches.push({ ...at, rule, short, reason });
    else questions.push({ ...at, text: `${reason} (${short}).` });
  };

  if (version === null) findings(judged, rules).forEach(take);
  else {
    for (const { line, food, grams, change } of version.rows) {
      if (!food || grams <= 0) continue;
      const source = line === null ? undefined : judged.find((each) => each.line === line);
      const stays = change === "as is" || change === "amount";
      const found = findings([{ line: line ?? -1, food, text: source?.text ?? "", ...(stays && source?.beside ? { beside: source.beside } : {}) }], rules);
      for (const each of found) take({ ...each, line, step: null, limit: null });
    }
    // What could not be read is in no version; whoever cooks by the recipe has it before them all the same.
    const absent = judged.filter(({ line, food }) => food === null && !version.rows.some((row) => row.line === line));
    for (const each of findings(absent, rules)) take(each.verdict === "avoid" ? { ...each, verdict: "ask" } : each);
  }
  for (const { step, ...each } of inSteps) take({ ...each, line: null, step, limit: null });

  for (const { line, text, why } of problem.unsettled)
    if (version === null || !version.rows.some((row) => row.line === line)) questions.push({ line, step: null, limit: null, text: `“${text}”: ${why}.` });
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
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const unique = <T>(items: readonly T[], key: (item: T) => string): readonly T[] => [...new Map(items.map((item) => [key(item), item] as const)).values()];

function figuresOf(problem: AdaptationProblem, version: Version | null): Figures {
  const { constants } = problem.reference;
  if (version === null) return evaluate(problem, constants).figures;
  const { servings, cookMinutes } = problem;
  return evaluate(
    { lines: versionLines(version, problem.lines), evaporation: { value: version.evaporation, sd: version.evaporation * 0.2 }, servings, cookMinutes },
    constants,
  ).figures;
}

/** Roles that make a kind of sweet what it is: without one of them read, there is nothing to work a version out from. */
const LEADS: Readonly<Record<string, readonly string[]>> = { pudding: ["liquid", "body", "bulk"], "flour halwa": ["body"] };
const LEAD_SHARE = 0.1;

/** Whether what leads the sweet (its grain, pulse or milk) may stand among the lines that could not be read. */
export function leadUnread({ archetype, lines, unsettled }: AdaptationProblem): boolean {
  if (unsettled.length === 0) return false;
  const all = lines.reduce((sum, { grams }) => sum + grams, 0);
  const leads = LEADS[archetype] ?? ["body", "bulk", "liquid"];
  return !lines.some(({ role, food, grams }) => leads.includes(role) && food.id !== "water" && grams >= LEAD_SHARE * all);
}
