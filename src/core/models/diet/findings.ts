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
}

/** A line as the rules see it: a known food, or one that could not be read. */
export interface JudgedLine {
  readonly line: number;
  readonly food: Food | null;
  readonly text: string;
}

/** Findings of every line that a rule avoids or asks about; what is not known is asked by every rule. */
export function findings(lines: readonly JudgedLine[], rules: readonly Rule[]): Finding[] {
  return lines.flatMap(({ line, food, text }) =>
    rules.flatMap((rule) => {
      const shared = { line, rule: rule.id, ruleName: rule.name, short: rule.short, school: rule.school };
      if (!food) return [{ ...shared, verdict: "ask" as const, reason: `"${text}" could not be read, so it is not known to be safe` }];
      const { verdict, reason } = judge(food, rule);
      return verdict === "allowed" ? [] : [{ ...shared, verdict, reason }];
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
