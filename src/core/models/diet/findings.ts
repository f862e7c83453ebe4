import type { Food } from "../../food";
import { judge, type Rule, type Verdict } from "./rules";

export interface Finding {
  /** Place of the line in the recipe, from 0. */
  readonly line: number;
  readonly rule: string;
  readonly ruleName: string;
  readonly short: string;
  readonly school: string;
  readonly verdict: Verdict;
  readonly reason: string;
  /** Of which food, by id; absent where the line could not be read. */
  readonly food?: string;
}

/** A line as the rules see it: a known food, or one that could not be read. */
export interface JudgedLine {
  readonly line: number;
  readonly food: Food | null;
  readonly text: string;
  /** What it was made ready in, as its words say ("roasted in ghee"). */
  readonly preparedWith?: readonly Food[];
}

/** Findings of every line that a rule avoids or asks about; what is not known is asked by every rule. */
export function findings(lines: readonly JudgedLine[], rules: readonly Rule[]): Finding[] {
  return lines.flatMap(({ line, food, text, preparedWith = [] }) =>
    rules.flatMap((rule) => {
      const shared = { line, rule: rule.id, ruleName: rule.name, short: rule.short, school: rule.school };
      if (!food) return [{ ...shared, verdict: "ask" as const, reason: `"${text}" could not be read, so it is not known to be safe` }];
      const of = judge(food, rule);
      const own: Finding[] = of.verdict === "allowed" ? [] : [{ ...shared, ...of, food: food.id }];
      const brought = preparedWith.flatMap((other): Finding[] => {
        const { verdict, reason } = judge(other, rule);
        return verdict === "allowed" ? [] : [{ ...shared, verdict, reason: `${reason}, and this is made ready in it`, food: other.id }];
      });
      return [...own, ...brought];
    }),
  );
}

/** The strictest verdict of the rules on a food: what a version may hold. */
export function strictestVerdict(food: Food, rules: readonly Rule[]): Verdict {
  let worst: Verdict = "allowed";
  for (const rule of rules) {
    const { verdict } = judge(food, rule);
    if (verdict === "avoid") return "avoid";
    if (verdict === "ask") worst = "ask";
  }
  return worst;
}
