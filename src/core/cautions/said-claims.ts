import { recipeInput } from "../adaptation";
import { findings, type Rule } from "../models/diet";
import { judgeClaims, nutritionProfile, type ClaimVerdict, type RetentionFactors, type RuleBook } from "../nutrition";
import { singleSpaced, trimmedOf, type ReadRecipe } from "../recipe";
import type { Constants } from "../food";
import { capital } from "../units";
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

/** Praise of what something does to health: nobody here has measured it, and none of it goes out of the house. */
const PRAISE =
  /\b(?:diabetic|diabetes|keto|heart|gut|weight[- ]loss|immunity|skin|hair)[- ]?(?:friendly|safe|healthy|boosting|booster)\b|\b(?:good|great|best|safe|ideal|excellent) for (?:the |your )?(?:diabet\w+|skin|hair|heart|bones?|eyes|digestion|gut|immunity|weight loss|blood (?:sugar|pressure)|pregnan\w+|joints?|liver|memory)\b|\b(?:boosts?|improves?|lowers?|reduces?|controls?|cures?|prevents?|fights?|treats?|heals?|strengthens?|cleanses?|purifies) (?:the |your )?(?:immunity|immune system|cholesterol|blood (?:sugar|pressure)|sugar levels|diabetes|digestion|metabolism|skin|bones?|blood|cancer|inflammation|anaemia|weight)\b|\b(?:guilt[- ]free|super ?foods?|detox\w*|fat[- ]burning|anti[- ](?:ageing|aging|cancer|inflammatory)|immunity|low[- ]gi|zero[- ]gi|healthy|healthier|healthiest|wholesome|medicinal|therapeutic|nourishing|weight[- ]loss)\b/gi;

const holdsAny = (patterns: readonly RegExp[], text: string): boolean => patterns.some((pattern) => text.search(pattern) >= 0);
const CLAIMS: readonly RegExp[] = [PRAISE, ...SAID.map(([pattern]) => pattern)];

const SIGNS = " ,;:&+/–—-";
const JOINS: readonly string[] = ["", "and", "or"];
/** Brackets around nothing but signs. */
const withoutEmptyBrackets = (text: string): string =>
  text.replace(/\(([^()]{0,80})\)/g, (whole, inner: string) => (JOINS.includes(trimmedOf(inner, SIGNS).toLowerCase()) ? " " : whole));
/** Words without joining words and signs at their ends, and without signs that stand alone one after the other. */
function withoutLooseEnds(text: string): string {
  const words = text.split(" ").filter((word, i, all) => trimmedOf(word, ",;") !== "" || (i > 0 && trimmedOf(all[i - 1] ?? "", ",;") !== ""));
  const isLoose = (word: string | undefined) => word !== undefined && JOINS.includes(trimmedOf(word, SIGNS).toLowerCase());
  while (isLoose(words[0])) words.shift();
  while (isLoose(words.at(-1))) words.pop();
  return trimmedOf(words.join(" "), SIGNS);
}

/** A title without what it claims: "Vegan sugar-free oat kheer" is "Oat kheer". What is left of nothing else is “Sweet”. */
export function titleWithoutClaims(title: string): string {
  const claimed = CLAIMS.reduce((text, pattern) => text.replace(pattern, " "), title);
  const plain = claimed === title ? title : withoutLooseEnds(singleSpaced(withoutEmptyBrackets(claimed)));
  return plain === "" ? "Sweet" : capital(plain);
}

const withoutSentences = (text: string, patterns: readonly RegExp[]): string =>
  text
    .split(/(?<=[.!?]) |\n/)
    .filter((said) => !holdsAny(patterns, said))
    .join(" ")
    .trim();
/** Notes without the sentences that claim something. */
export const notesWithoutClaims = (text: string): string => withoutSentences(text, CLAIMS);
/** A step without the sentences that praise what it does to health; "gluten-free flour" in one is a thing and stays. */
export const stepWithoutPraise = (text: string): string => withoutSentences(text, [PRAISE]);
/** A line without the words that praise it: "1 cup healthy jaggery" is "1 cup jaggery". */
export function lineWithoutPraise(text: string): string {
  const plain = text.replace(PRAISE, " ");
  return plain === text ? text : singleSpaced(withoutEmptyBrackets(plain)).replaceAll(" ,", ",") || text;
}

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
