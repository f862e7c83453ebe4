import type { Food, FoodForm } from "../../food";
import { isStricter, judge, type Judgement, type Rule, type Verdict } from "./rules";

export interface Finding {
  readonly line: string;
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
  /** By id. */
  readonly line: string;
  readonly food: Food | null;
  readonly text: string;
  /** What its words name beside that food. */
  readonly beside?: {
    readonly foods: readonly Food[];
    readonly words: readonly string[];
    readonly choice: boolean;
    readonly ground: boolean;
  };
}

/** What goes in ground cannot be choked on as a whole piece. */
const asGround = (food: Food, ground: boolean): FoodForm | undefined =>
  ground && (food.nature?.form === "whole" || food.nature?.form === "split") ? "powder" : undefined;

/** Findings of every line that a rule avoids or asks about; what is not known is asked by every rule. */
export function findings(lines: readonly JudgedLine[], rules: readonly Rule[]): Finding[] {
  return lines.flatMap(({ line, food, text, beside }) =>
    rules.flatMap((rule) => {
      const shared = { line, rule: rule.id, ruleName: rule.name, short: rule.short, school: rule.school };
      const unread: Finding[] = food ? [] : [{ ...shared, verdict: "ask", reason: `"${text}" could not be read, so it is not known to be safe` }];
      const of = (each: Food, ground = false): Judgement & { readonly food: string } => ({ ...judge(each, rule, asGround(each, ground)), food: each.id });
      const others = (beside?.foods ?? []).map((each) => of(each));
      const words: Finding[] = (beside?.words ?? []).map((word) => ({
        ...shared,
        verdict: "ask",
        reason: `“${word}” in “${text}” is not understood, so it is not known to be safe`,
      }));
      if (beside?.choice) {
        // Of what is left to choose from all must fit; it is a breach only where none does.
        const all = [...(food ? [of(food, beside.ground)] : []), ...others];
        const wrong = all.filter(({ verdict }) => verdict !== "allowed");
        const [first] = wrong;
        if (!first) return [...unread, ...words];
        const breaks = all.every(({ verdict }) => verdict === "avoid");
        const reason = `${wrong.map((each) => each.reason).join("; ")}: a choice is left`;
        return [...unread, { ...shared, ...first, verdict: breaks ? "avoid" : "ask", reason }, ...words];
      }
      const own = food ? [of(food, beside?.ground)] : [];
      const named = others.map((each) => ({ ...each, reason: `${each.reason}, and the line names it` }));
      return [...unread, ...[...own, ...named].filter(({ verdict }) => verdict !== "allowed").map((each): Finding => ({ ...shared, ...each })), ...words];
    }),
  );
}

/** The strictest verdict of the rules on a food: what a version may hold. */
export function strictestVerdict(food: Food, rules: readonly Rule[]): Verdict {
  let worst: Verdict = "allowed";
  for (const rule of rules) {
    const { verdict } = judge(food, rule);
    if (verdict === "avoid") return "avoid";
    if (isStricter(verdict, worst)) worst = verdict;
  }
  return worst;
}
