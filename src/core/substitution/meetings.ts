import type { Food, Role } from "../food";
import { judge, baseOf, type Rule } from "../models/diet";
import type { AdaptationProblem } from "./problem";

/** Two wishes of a table that get into each other's way. */
export type Meeting =
  /** One rule kept in two schools: both hold, and the stricter decides. */
  | { readonly kind: "schools"; readonly rule: Rule; readonly other: Rule }
  /** What usually stands in for what the one leaves out, the other leaves out too. `left` is what all rules together leave for the role. */
  | {
      readonly kind: "stand-ins";
      readonly rule: Rule;
      readonly other: Rule;
      readonly role: Role;
      readonly taken: readonly Food[];
      readonly left: readonly Food[];
    };

/** Share of the stand-ins that have to be taken for it to be told. */
const TOLD_SHARE = 0.4;

/**
 * Where the rules of a table meet: for each role that a rule takes a line of, the foods that could stand in by that rule
 * alone, and which of them every other rule takes. By the tables of substitutes for this kind of sweet.
 */
export function ruleMeetings(problem: AdaptationProblem): Meeting[] {
  const { rules, lines, tables, archetype, reference } = problem;
  const meetings: Meeting[] = [];
  for (const [i, rule] of rules.entries())
    for (const other of rules.slice(i + 1)) if (baseOf(rule.id) === baseOf(other.id)) meetings.push({ kind: "schools", rule, other });

  const roles = new Map<Role, Set<Rule>>();
  for (const line of lines)
    for (const rule of rules) if (judge(line.food, rule).verdict === "avoid") roles.set(line.role, (roles.get(line.role) ?? new Set()).add(rule));

  for (const [role, takers] of roles) {
    const standIns = tables.candidates.flatMap((candidate) => {
      const food = candidate.role === role && candidate.archetypes.includes(archetype) ? reference.foods.get(candidate.foodId) : undefined;
      return food && food.id !== "water" ? [food] : [];
    });
    const foods = [...new Map(standIns.map((food) => [food.id, food])).values()];
    const left = foods.filter((food) => rules.every((rule) => judge(food, rule).verdict === "allowed"));
    for (const rule of takers) {
      const usual = foods.filter((food) => judge(food, rule).verdict === "allowed");
      for (const other of rules) {
        if (other === rule || baseOf(other.id) === baseOf(rule.id)) continue;
        const taken = usual.filter((food) => judge(food, other).verdict !== "allowed");
        // Told where it matters: nothing is left, or much of what the rule alone would leave is gone.
        if (taken.length === 0 || (left.length > 0 && taken.length < TOLD_SHARE * usual.length)) continue;
        if (meetings.some((each) => each.kind === "stand-ins" && each.role === role && each.rule === other && each.other === rule)) continue;
        meetings.push({ kind: "stand-ins", rule, other, role, taken, left });
      }
    }
  }
  return meetings;
}
