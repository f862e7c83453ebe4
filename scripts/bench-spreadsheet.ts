/** The figures of a sweet beside a spreadsheet's: totals and intervals of all nutrients by SUMPRODUCT, after one amount is changed. */
import { HyperFormula } from "hyperformula";
import { REFERENCE } from "../src/data";
import { evaluate, type EvaluationInput } from "../src/core/evaluate";
import { NUTRIENTS } from "../src/core/food";
import { Z80 } from "../src/core/numeric";

const ALL = [...REFERENCE.foods.values()];
/** Parts from the list of foods far from one another, so that each size has other kinds. */
const STRIDE = 37;

export function sweetOf(lines: number): EvaluationInput {
  return {
    lines: Array.from({ length: lines }, (_, i) => {
      const food = ALL[(i * STRIDE) % ALL.length];
      if (!food) throw new Error("no foods");
      return { food, grams: 20 + ((i * 13) % 80), sd: 2, role: food.role };
    }),
    evaporation: { value: 50, sd: 10 },
    servings: 6,
    cookMinutes: 20,
    apart: 0,
    archetype: "pudding",
  };
}
const column = (at: number): string => (at < 26 ? String.fromCharCode(65 + at) : `${column(Math.floor(at / 26) - 1)}${column(at % 26)}`);

/** A sheet with grams and their spread, then each nutrient and its spread; below each its total and half its 80 % interval. */
function sheetOf({ lines }: EvaluationInput): HyperFormula {
  const rows: (number | string)[][] = lines.map(({ food, grams, sd }) => [grams, sd, ...NUTRIENTS.flatMap((_, n) => [food.per100g[n] ?? 0, food.sd[n] ?? 0])]);
  const range = (at: number) => `${column(at)}1:${column(at)}${lines.length}`;
  const below = (make: (n: number) => string): string[] => ["", "", ...NUTRIENTS.flatMap((_, n) => [make(n), ""])];
  rows.push(
    below((n) => `=SUMPRODUCT(${range(0)},${range(2 + 2 * n)})/100`),
    below(
      (n) =>
        `=${Z80}*SQRT(SUMPRODUCT(${range(1)},${range(1)},${range(2 + 2 * n)},${range(2 + 2 * n)})+SUMPRODUCT(${range(0)},${range(0)},${range(3 + 2 * n)},${range(3 + 2 * n)}))/100`,
    ),
  );
  return HyperFormula.buildFromArray(rows, { licenseKey: "gpl-v3" });
}

const median = (times: readonly number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
const timed = (work: (i: number) => unknown, times: number): number => {
  for (let i = 0; i < times / 4; i++) work(i);
  return median(
    Array.from({ length: times }, (_, i) => {
      const start = performance.now();
      work(i);
      return performance.now() - start;
    }),
  );
};

export function besideSpreadsheet(): [string, string, string][] {
  const forty = sweetOf(40);
  const sheet = sheetOf(forty);
  const bySheet = timed((i) => sheet.setCellContents({ sheet: 0, row: i % 40, col: 0 }, 20 + (i % 60)), 200);
  const changed = (input: EvaluationInput, i: number): EvaluationInput => {
    const at = i % input.lines.length;
    const line = input.lines[at];
    return line ? { ...input, lines: input.lines.with(at, { ...line, grams: 20 + (i % 60) }) } : input;
  };
  const own = (lines: number) => {
    const input = sweetOf(lines);
    return timed((i) => evaluate(changed(input, i), REFERENCE.constants), 400);
  };
  const byUs = own(40);
  const sizes = [5, 10, 20, 40, 80].map((lines) => `${lines}: ${own(lines).toFixed(2)}`);
  return [
    [
      "all properties with intervals, 40 lines, beside a spreadsheet's totals and intervals of 23 nutrients",
      `${byUs.toFixed(2)} ms, the sheet ${bySheet.toFixed(2)} ms: ${(bySheet / byUs).toFixed(1)} times as long`,
      "≤ 0.5 ms",
    ],
    ["the same by lines, ms", sizes.join(", "), "linear"],
  ];
}
