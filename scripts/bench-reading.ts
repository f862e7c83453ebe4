/** Reading: lines of strangers, the same with every food exchanged, and how long a recipe's lines take. */
import { existsSync, readFileSync } from "node:fs";
import { stemOf } from "../src/core/recipe/match-food";
import { readLine } from "../src/core/recipe/read-line";
import * as vocabulary from "../src/core/recipe/vocabulary";
import { DEMO_RECIPES } from "../src/data";
import { context } from "../tests/support/kitchen";
import { meantLines, permuted, scoreOf, scoreOfPermuted, type MeantLine, type Score } from "../tests/support/lines";
import { seeded } from "../tests/support/trials";

const STRANGERS = "../shared/data/ingredient-lines.tsv";
const OWN = ["tests/golden/written-lines.json", "tests/golden/written-recipes.ts", "tests/golden/lines-of-others.tsv"];
const ROUNDS = 20;
const TIMES = 300;

type Rows = [what: string, figure: string, aim: string][];
const percent = (part: number, of: number) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;
const counted = (scores: readonly Score[]) => {
  const of = (score: Score) => scores.filter((each) => each === score).length;
  return { right: of("right"), asked: of("asked"), wrong: of("wrong"), all: scores.length };
};
const told = ({ right, asked, wrong, all }: ReturnType<typeof counted>) => `${right} right (${percent(right, all)}), ${asked} asked, ${wrong} wrong of ${all}`;

/** Words of the vocabulary by their stems; word lists only, not the foods' own names. */
function vocabularyStems(): ReadonlySet<string> {
  const words = Object.values(vocabulary).flatMap((list): string[] => {
    if (Array.isArray(list)) return list.filter((each): each is string => typeof each === "string");
    if (typeof list !== "object" || list instanceof Set || list instanceof RegExp) return [];
    return Object.entries(list as Readonly<Record<string, unknown>>).flatMap(([name, value]) => [name, ...(typeof value === "string" ? value.split(" ") : [])]);
  });
  return new Set(words.map(stemOf));
}
const stemsIn = (text: string): ReadonlySet<string> => new Set((text.toLowerCase().match(/\p{L}+/gu) ?? []).map(stemOf));

export function readings(rows: Rows, spread: (values: readonly number[]) => string): void {
  if (existsSync(STRANGERS)) {
    const lines = meantLines(STRANGERS);
    rows.push([`${lines.length} ingredient lines of strangers`, told(counted(lines.map(scoreOf))), "at least 97 % right, 0 wrong"]);
    rows.push(...missed(lines));
    const random = seeded(Number(process.env.SEED ?? 16));
    const scores: Score[] = [];
    for (let round = 0; round < ROUNDS; round++)
      for (const line of lines) {
        const other = permuted(line, random);
        if (other) scores.push(scoreOfPermuted(other));
      }
    rows.push(["the same with every food exchanged for another of its kind", told(counted(scores)), "at most 3 points less"]);
    const theirs = stemsIn(readFileSync(STRANGERS, "utf8"));
    const own = stemsIn([...OWN.filter(existsSync).map((path) => readFileSync(path, "utf8")), ...DEMO_RECIPES.map(({ text }) => text)].join("\n"));
    const only = [...vocabularyStems()].filter((stem) => theirs.has(stem) && !own.has(stem));
    rows.push(["words of the vocabulary that stand in that file alone", `${only.length}${only.length > 0 ? `: ${only.join(", ")}` : ""}`, "0"]);
  }
  const fifteen = (DEMO_RECIPES[1]?.text.split("Method")[0] ?? "").split("\n").filter((line) => /^[\d½¼¾]/.test(line));
  const lines = Array.from({ length: 15 }, (_, i) => fifteen[i % fifteen.length] ?? "1 cup sugar");
  const times = Array.from({ length: TIMES }, () => {
    const start = performance.now();
    for (const text of lines) readLine({ id: "l", text, choice: {} }, context);
    return performance.now() - start;
  });
  rows.push(["15 lines read", spread(times), "p95 at most 10 ms"]);
}

const missed = (lines: readonly MeantLine[]): Rows =>
  lines.flatMap((line) => (scoreOf(line) === "right" ? [] : [[`  ${scoreOf(line)}`, line.text, ""] satisfies Rows[number]]));
