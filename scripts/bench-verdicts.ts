/** Verdicts: over the lines of strangers, and by trials that change a recipe. */
import { existsSync, readFileSync } from "node:fs";
import Papa from "papaparse";
import { findings } from "../src/core/models/diet";
import { readRecipe } from "../src/core/recipe";
import { judgedLines, listedIn, stepFindings } from "../src/core/substitution";
import { REFERENCE, RULES } from "../src/data";
import { context } from "../tests/support/kitchen";
import { INSERTION_KINDS, insertion, reordering, seeded, type InsertionKind } from "../tests/support/trials";

const LINES = "../shared/data/verdict-lines.tsv";
const TRIALS = 4000;
const REORDERINGS = 1000;
const RANK: Readonly<Record<string, number>> = { ok: 0, allowed: 0, ask: 1, avoid: 2 };

/** What a line (or the step given) leads to under a rule, beside water and a gum. */
function verdictOn(text: string, step: string, ruleId: string): string {
  const rule = RULES.get(ruleId.replace(/^no:/, "no-"));
  if (!rule) throw new Error(`There is no rule ${ruleId}.`);
  const lines = ["500 ml water", "20 g guar gum", text].map((each, i) => ({ id: `l${i}`, text: each, choice: {} }));
  const steps = step ? [{ id: "s1", text: step, choice: {} }] : [];
  const read = readRecipe({ title: "A sweet", servings: 4, lines, steps, evaporation: null, archetype: null }, context, REFERENCE.constants);
  const found = [...findings(judgedLines(read), [rule]).filter(({ line }) => line === "l2"), ...stepFindings(read, listedIn(read), [rule])];
  return found.some(({ verdict }) => verdict === "avoid") ? "avoid" : found.length > 0 ? "ask" : "ok";
}

export function verdicts(rows: [string, string, string][]): void {
  if (existsSync(LINES)) {
    const asked = Papa.parse<string[]>(readFileSync(LINES, "utf8"), { delimiter: "\t", comments: "#", skipEmptyLines: true, quoteChar: "\u0000" }).data;
    const judged = asked.map(([text = "", rule = "", least = "", step = ""]) => ({ text, rule, least, step, got: verdictOn(text, step, rule) }));
    const weaker = judged.filter(({ least, got }) => (RANK[got] ?? 0) < (RANK[least] ?? 0));
    const stricter = judged.filter(({ least, got }) => (RANK[got] ?? 0) > (RANK[least] ?? 0));
    rows.push([
      `${judged.length} lines and steps of strangers`,
      `${weaker.length} weaker, ${stricter.length} stricter (${((100 * stricter.length) / judged.length).toFixed(1)} %)`,
      "0 weaker, at most 10 % stricter",
    ]);
    for (const { text, rule, least, got } of weaker) rows.push(["  weaker", `${text}, ${rule}: ${got}, asked ${least}`, ""]);
  }
  const random = seeded(Number(process.env.SEED ?? 14));
  const byKind = new Map(INSERTION_KINDS.map((kind): [InsertionKind, { tried: number; fit: string[] }] => [kind, { tried: 0, fit: [] }]));
  for (let i = 0; i < TRIALS; i++) {
    const trial = insertion(random);
    const of = trial && byKind.get(trial.kind);
    if (!of) continue;
    of.tried++;
    if (trial.fits) of.fit.push(`${trial.rule}: ${trial.text}`);
  }
  for (const [kind, { tried, fit }] of byKind)
    rows.push([
      `a forbidden food put into a recipe that fits, by ${kind}`,
      `${tried} tried, ${fit.length} still fit${fit.length > 0 ? `: ${fit.join("; ")}` : ""}`,
      "0",
    ]);
  const differ = Array.from({ length: REORDERINGS }, () => reordering(random)).filter(Boolean);
  rows.push([`${REORDERINGS} recipes with their lines shuffled and another title`, `${differ.length} judged otherwise`, "0"]);
}
