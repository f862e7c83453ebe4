import type { Finding } from "../models/diet";
import { evaluatePoint } from "../evaluate";
import { limitPerGram } from "./coefficients";
import { limitProperty } from "./open-roles";
import { LIMIT_NAMES } from "../table";
import type { AdaptationProblem, Order } from "./problem";

/** Findings in the order of the recipe's lines. */
export const inOrder = (found: readonly Finding[], { lines }: Order): readonly Finding[] =>
  [...found].sort((a, b) => lines.indexOf(a.line) - lines.indexOf(b.line));

/** Lines that give less than this share of what a limit bounds are not named. */
const NAMED_SHARE = 0.2;

/** Findings of limits that the recipe passes, at the lines that give most of what is too much. */
export function limitFindings(problem: AdaptationProblem): Finding[] {
  const figures = evaluatePoint(problem, problem.reference.constants);
  return problem.limits.flatMap((limit) => {
    const value = figures[limitProperty(limit)].value;
    if (value <= limit.most) return [];
    const { name, unit } = LIMIT_NAMES[limit.id];
    return problem.lines.flatMap((line): Finding[] => {
      const part = (line.grams * limitPerGram(line, limit, problem)) / problem.servings;
      if (part < NAMED_SHARE * value) return [];
      return [
        {
          line: line.id,
          rule: `limit-${limit.id}`,
          ruleName: `At most ${limit.most} ${unit} ${name} a serving`.replace("  ", " "),
          short: `${name} over ${limit.most} ${unit}`.trim(),
          school: limit.id === "freeSugars" ? limit.school : "usual",
          verdict: "avoid",
          reason:
            `${line.food.name} gives ${part.toFixed(part < 10 ? 1 : 0)} of ${value.toFixed(value < 10 ? 1 : 0)} ${unit} ${name} a serving; the limit is ${limit.most}`.replace(
              "  ",
              " ",
            ),
        },
      ];
    });
  });
}
