import { capital } from "../units";
import { INDEX } from "../food";
import type { Figure } from "../numeric";
import type { EvaluationInput } from "../evaluate";
import { judge, type Rule } from "../models/diet";
import type { LabelLayout } from "./label-layout";
import type { NutritionProfile } from "./profile";
import { describeRow, type NutritionRowId } from "./rows";

/** kJ of the kilocalorie that rule books count in. */
const KJ_PER_KCAL = 4.184;
/** Energy of a gram of what is asked for as a share of energy, kJ (the general factors of the rule books). */
const ENERGY_OF: Readonly<Partial<Record<NutritionRowId, number>>> = { protein: 17, saturatedFat: 37, fat: 37, availableCarbohydrate: 17 };

/** One bound on one row. */
export interface Condition {
  readonly row: NutritionRowId;
  readonly per: "100 g" | "50 g" | "serving" | "100 kcal" | "energy";
  /** At most or at least this much: g, mg, kJ as the row, or a share of energy from 0 to 1. */
  readonly most?: number;
  readonly least?: number;
  /** Strictly less than `most`. */
  readonly strictly?: boolean;
}

export interface ClaimRule {
  readonly claim: string;
  /** All of these hold. */
  readonly all?: readonly Condition[];
  /** And one of these. */
  readonly any?: readonly Condition[];
  /** Less than the recipe as handed down, by this share at least, of 100 g; and no more of the others. */
  readonly less?: { readonly row: NutritionRowId; readonly share: number; readonly noMore?: readonly NutritionRowId[] };
  /** And these, where a serving weighs no more than so many grams. */
  readonly small?: { readonly upTo: number; readonly all: readonly Condition[] };
  /** Nothing that this rule leaves out is used: what it avoids breaks the claim, what it asks about leaves it open. */
  readonly keeps?: Rule;
  readonly source: string;
  readonly note?: string;
}

/** One law or standard: its reference intakes for a day, and the claims it knows. */
export interface RuleBook {
  readonly id: string;
  readonly name: string;
  readonly intakeSource: string;
  /** Per day, in the row's unit (energy in kJ). */
  readonly intakes: Readonly<Partial<Record<NutritionRowId, number>>>;
  readonly claims: readonly ClaimRule[];
  /** How a label tells nutrition by it. */
  readonly label: LabelLayout;
}

export type ClaimVerdict = "would meet" | "would not meet" | "too close to tell" | "not known";

export interface ClaimFinding {
  readonly claim: string;
  readonly verdict: ClaimVerdict;
  /** The numbers that decide it, in words. */
  readonly because: string;
  readonly source: string;
  readonly note: string | null;
}

/**
 * What the claims of a rule book come to for a sweet as made; `before` is the recipe as handed down. `unread`: lines that
 * the figures leave out because they are not read: with one of them no claim is met.
 */
export function judgeClaims(book: RuleBook, input: EvaluationInput, profile: NutritionProfile, before: NutritionProfile, unread = 0): ClaimFinding[] {
  const serving = profile.finishedMass / profile.servings;
  return book.claims.map((rule) => {
    const parts: Part[] = [
      ...(rule.all ?? []).map((condition) => judgeCondition(condition, profile)),
      ...(rule.any ? [anyOf(rule.any.map((condition) => judgeCondition(condition, profile)))] : []),
      ...(rule.less ? [judgeLess(rule.less, profile, before)] : []),
      ...(rule.small && serving <= rule.small.upTo ? rule.small.all.map((condition) => judgeCondition(condition, profile)) : []),
      ...(rule.keeps ? [judgeKept(input, rule.keeps)] : []),
    ];
    if (unread > 0)
      parts.push({ verdict: "not known", words: `${unread === 1 ? "a line is" : `${unread} lines are`} not read yet and missing from the figures` });
    const verdict = allOf(parts.map((part) => part.verdict));
    const telling = parts.filter((part) => part.verdict === verdict);
    return {
      claim: rule.claim,
      verdict,
      because: capital((telling.length > 0 ? telling : parts).map((part) => part.words).join("; ")),
      source: rule.source,
      note: rule.note ?? null,
    };
  });
}

interface Part {
  readonly verdict: ClaimVerdict;
  readonly words: string;
}

const WORST_FIRST: readonly ClaimVerdict[] = ["would not meet", "not known", "too close to tell", "would meet"];
const allOf = (verdicts: readonly ClaimVerdict[]): ClaimVerdict => WORST_FIRST.find((verdict) => verdicts.includes(verdict)) ?? "not known";
function anyOf(parts: readonly Part[]): Part {
  const best = [...WORST_FIRST].reverse().find((verdict) => parts.some((part) => part.verdict === verdict)) ?? "not known";
  return { verdict: best, words: parts.filter((part) => part.verdict === best).map((part) => part.words)[0] ?? "" };
}

const rowOf = (profile: NutritionProfile, id: NutritionRowId) => profile.rows.find((row) => row.id === id);

function judgeCondition(condition: Condition, profile: NutritionProfile): Part {
  const row = rowOf(profile, condition.row);
  const energy = rowOf(profile, "energy")?.figures.per100g.value ?? 0;
  if (!row) return { verdict: "not known", words: `${condition.row} is not computed` };
  const { name, unit } = describeRow(condition.row);
  const by = perFactor(condition, energy);
  const figure = condition.per === "serving" ? row.figures.serving : row.figures.per100g;
  const { value, low, high } = { value: figure.value * by, low: figure.low * by, high: figure.high * by };
  const share = condition.per === "energy";
  const amount = (x: number) =>
    share ? `${(x * 100).toFixed(0)} % of the energy` : `${digits(x)} ${unit}${condition.per === "serving" ? " a serving" : ` per ${condition.per}`}`;
  const bound = condition.most !== undefined ? `at most ${amount(condition.most)}` : `at least ${amount(condition.least ?? 0)}`;
  return { verdict: within(condition, { value, low, high }, row.known), words: `${name.toLowerCase()} ${amount(value)}, ${bound} is asked` };
}

function perFactor({ row, per }: Condition, energyPer100g: number): number {
  if (per === "50 g") return 0.5;
  if (per === "100 kcal") return energyPer100g > 0 ? (100 * KJ_PER_KCAL) / energyPer100g : 0;
  if (per === "energy") return energyPer100g > 0 ? (ENERGY_OF[row] ?? 0) / energyPer100g : 0;
  return 1;
}

function within({ most, least, strictly }: Condition, { low, high }: Figure, known: number): ClaimVerdict {
  // Where part of it is not known the figure is a lower bound.
  if (most !== undefined) {
    const inside = (x: number) => (strictly ? x < most : x <= most);
    if (!inside(low)) return "would not meet";
    if (known < ENOUGH_KNOWN) return "not known";
    return inside(high) ? "would meet" : "too close to tell";
  }
  if (low >= (least ?? 0)) return "would meet";
  if (known < ENOUGH_KNOWN) return "not known";
  return high < (least ?? 0) ? "would not meet" : "too close to tell";
}

/** Less than this share of the ingredients known, and what is missing may decide. */
const ENOUGH_KNOWN = 0.98;
const digits = (x: number) => (x === 0 ? "0" : x >= 100 ? x.toFixed(0) : x >= 10 ? x.toFixed(1) : x.toPrecision(2));

function judgeLess({ row: id, share, noMore = [] }: NonNullable<ClaimRule["less"]>, profile: NutritionProfile, before: NutritionProfile): Part {
  const [now, then] = [rowOf(profile, id)?.figures.per100g, rowOf(before, id)?.figures.per100g];
  const { name } = describeRow(id);
  if (!now || !then || then.value <= 0) return { verdict: "not known", words: `the recipe has no ${name.toLowerCase()} to compare with` };
  const less = 1 - now.value / then.value;
  // The two are made of mostly the same lines: only the version's own spread is counted.
  const half = (now.high - now.low) / 2 / then.value;
  const grown = noMore.find((other) => (rowOf(profile, other)?.figures.per100g.value ?? 0) > (rowOf(before, other)?.figures.per100g.value ?? 0));
  const words = `${name.toLowerCase()} ${less >= 0 ? `${(less * 100).toFixed(0)} % less` : `${(-less * 100).toFixed(0)} % more`} per 100 g than as handed down, ${(share * 100).toFixed(0)} % less is asked`;
  if (grown) return { verdict: "would not meet", words: `${words}, and ${describeRow(grown).name.toLowerCase()} no higher` };
  return { verdict: less - half >= share ? "would meet" : less + half < share ? "would not meet" : "too close to tell", words };
}

function judgeKept({ lines }: EvaluationInput, rule: Rule): Part {
  const judged = lines.filter(({ grams }) => grams > 0).map(({ food, role }) => ({ food, verdict: judge(food, rule).verdict, role }));
  const names = (of: readonly { readonly food: { readonly name: string } }[]) => of.map(({ food }) => food.name.toLowerCase()).join(", ");
  const broken = judged.filter(({ verdict }) => verdict === "avoid");
  if (broken.length > 0) return { verdict: "would not meet", words: `it is sweetened with ${names(broken)}` };
  // What sweetens and holds sugars, and is let through by the rule as a food: whole fruit.
  const open = judged.filter(
    ({ food, verdict, role }) => verdict === "ask" || (role === "sweetener" && (food.per100g[INDEX.availableCarbohydrate] ?? 0) > MUCH_SUGAR),
  );
  if (open.length > 0)
    return { verdict: "too close to tell", words: `${names(open)}: as a food that is eaten it may stand, for its sweetness it counts as added` };
  return { verdict: "would meet", words: "nothing is added for its sweetness but what holds no sugars" };
}
/** g of carbohydrate in 100 g of something that sweetens, over which it does so by its sugars. */
const MUCH_SUGAR = 30;
