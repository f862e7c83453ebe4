import { recipeInput } from "../adaptation";
import { findings, type Rule } from "../models/diet";
import { judgeClaims, nutritionProfile, type ClaimVerdict, type RetentionFactors, type RuleBook } from "../nutrition";
import type { ReadRecipe } from "../recipe";
import type { Constants } from "../food";
import { judgedLines, listedIn, stepFindings } from "../substitution";

/** Something that a recipe says of itself, in its title or notes, and what its lines and figures make of it. */
export interface SaidClaim {
  /** As it is written: "sugar-free". */
  readonly words: string;
  readonly verdict: "contradicted" | "not known";
  readonly because: string;
}

/** Of what kind a claim is: a rule that is kept, a claim of the rule books by one of its names, or that no refined sugar is used. */
type Claimed = { readonly rule: string } | { readonly claims: readonly string[] } | { readonly rule: Rule };

const FREE = "(?:[- ]?free|less)";
const NO_REFINED: Rule = {
  id: "no-refined-sugar",
  kind: "diet",
  name: "No refined sugar",
  short: "no refined sugar",
  school: "usual",
  schoolReason: "",
  clauses: [
    {
      verdict: "avoid",
      when: { sugarClasses: ["added"], plants: ["Saccharum officinarum", "Beta vulgaris"], processings: ["refined"] },
      because: "is refined",
    },
  ],
  source: "what the words say; no law defines them",
};
const SAID: readonly (readonly [words: RegExp, claimed: Claimed])[] = [
  [/\b(?:vegan|plant[- ]based)\b/gi, { rule: "vegan" }],
  [new RegExp(`\\b(?:dairy|milk)${FREE}\\b`, "gi"), { rule: "dairy-free" }],
  [new RegExp(`\\blactose${FREE}\\b`, "gi"), { rule: "lactose-free" }],
  [new RegExp(`\\bgluten${FREE}\\b`, "gi"), { rule: "gluten-free" }],
  [new RegExp(`\\bnut${FREE}\\b`, "gi"), { rule: "nut-free" }],
  [new RegExp(`\\begg${FREE}\\b`, "gi"), { rule: "egg-free" }],
  [new RegExp(`\\bsoya?${FREE}\\b`, "gi"), { rule: "soy-free" }],
  [new RegExp(`\\b(?:peanut|groundnut)${FREE}\\b`, "gi"), { rule: "peanut-free" }],
  [new RegExp(`\\bsesame${FREE}\\b`, "gi"), { rule: "sesame-free" }],
  [/\bhalal\b/gi, { rule: "halal" }],
  [/\bkosher\b/gi, { rule: "kosher" }],
  [/\b(?:no|without|zero) added sugars?\b|\bunsweetened\b/gi, { rule: "no-added-sugar" }],
  [/\b(?:no|without|free of) (?:refined|white) sugars?\b|\brefined[- ]sugar[- ]?free\b/gi, { rule: NO_REFINED }],
  [/(?<!refined[- ]|white[- ])\bsugar(?:s?[- ]?free|less)\b|\b(?:no|without|zero) sugars?\b/gi, { claims: ["sugars-free", "sugar-free"] }],
  [/\blow[- ](?:in )?sugars?\b/gi, { claims: ["low sugars"] }],
  [/\blow[- ](?:in )?fat\b/gi, { claims: ["low fat"] }],
  [/\b(?:fat[- ]?free|no fat|zero fat|oil[- ]free)\b/gi, { claims: ["fat-free"] }],
  [/\blow[- ](?:in )?(?:calories?|energy|cal)\b/gi, { claims: ["low energy", "low calorie"] }],
  [/\blow[- ](?:in )?(?:sodium|salt)\b/gi, { claims: ["low sodium"] }],
  [/\b(?:high|rich) (?:in )?protein\b|\bhigh-protein\b|\bprotein[- ]rich\b/gi, { claims: ["high in protein"] }],
  [/\b(?:high|rich) (?:in )?fib(?:re|er)\b|\bhigh-fib(?:re|er)\b|\bfib(?:re|er)[- ]rich\b/gi, { claims: ["high in fibre"] }],
];
/** Before or after the words they say that it is not one, or only may be made one. */
const NOT_BEFORE =
  /(?:\b(?:not|non|isn.?t|never|nearly|almost|or|if|to make|make (?:it|this)|can be|could be|for an?|for our|for my|for the)[ -]*(?:quite |fully |all )?)$/i;
const NOT_AFTER =
  /^ (?:option|version|variation|alternative|eaters?|guests?|friends?|people|table|milk|butter|ghee|cream|yogh?urt|cheese|chocolate|condensed)/i;

/** What the claims of a recipe are held against. */
export interface ClaimTables {
  readonly rules: ReadonlyMap<string, Rule>;
  readonly books: readonly RuleBook[];
  readonly retention: RetentionFactors;
  readonly constants: Constants;
}

/** What a recipe says of itself in its title and notes that its lines and steps contradict, or leave open. What is borne out is not told. */
export function saidClaims(read: ReadRecipe, tables: ClaimTables): readonly SaidClaim[] {
  const { title, notes = "" } = read.recipe;
  const told = new Map<string, SaidClaim>();
  for (const text of [title, notes])
    for (const [pattern, claimed] of SAID)
      for (const match of text.matchAll(pattern)) {
        const [words] = match;
        const before = text.slice(Math.max(0, match.index - 20), match.index);
        const after = text.slice(match.index + words.length, match.index + words.length + 16);
        if (NOT_BEFORE.test(before) || NOT_AFTER.test(after) || told.has(words.toLowerCase())) continue;
        const made = "claims" in claimed ? byFigures(claimed.claims, read, tables) : byRule(claimed.rule, read, tables);
        if (made) told.set(words.toLowerCase(), { words, ...made });
      }
  return [...told.values()];
}

function byRule(given: Rule | string, read: ReadRecipe, { rules }: ClaimTables): Omit<SaidClaim, "words"> | null {
  const rule = typeof given === "string" ? rules.get(given) : given;
  if (!rule) return null;
  const found = [...findings(judgedLines(read), [rule]), ...stepFindings(read, listedIn(read), [rule])];
  if (found.length === 0) return null;
  const worst = found.some(({ verdict }) => verdict === "avoid") ? "avoid" : "ask";
  const because = [...new Set(found.filter(({ verdict }) => verdict === worst).map(({ reason }) => reason))].join("; ");
  return { verdict: worst === "avoid" ? "contradicted" : "not known", because };
}

/** Of several rule books one that would let the claim stand is enough. */
function byFigures(names: readonly string[], read: ReadRecipe, { books, retention, constants }: ClaimTables): Omit<SaidClaim, "words"> | null {
  if (read.lines.length === 0 || read.ledger.finished.value <= 0) return { verdict: "not known", because: "nothing is weighed yet" };
  const input = recipeInput(read, { rules: [], limits: [], servings: read.recipe.servings, serve: "hot" });
  const profile = nutritionProfile(input, constants, retention);
  const judged = books.flatMap((book) => judgeClaims(book, input, profile, profile, read.unresolved.length).filter(({ claim }) => names.includes(claim)));
  const of = (verdict: ClaimVerdict) => judged.find((each) => each.verdict === verdict);
  if (judged.length === 0 || of("would meet")) return null;
  const open = of("too close to tell") ?? of("not known");
  const said = open ?? judged[0];
  if (!said) return null;
  return { verdict: open ? "not known" : "contradicted", because: `${said.because} (${said.source})` };
}
