import {
  GLUTEN_CEREALS,
  type Allergen,
  type Family,
  type Food,
  type FoodForm,
  type FoodPart,
  type Nutrient,
  type Origin,
  type Processing,
  type SugarClass,
  INDEX,
} from "../../food";

export type Verdict = "allowed" | "ask" | "avoid";

/** What a rule makes of one food, with its reason in one sentence. */
export interface Judgement {
  readonly verdict: Verdict;
  readonly reason: string;
}

/** What a clause holds for: all that is given must fit, any of each list. By properties, never by name. */
export interface When {
  readonly origins?: readonly Origin[];
  readonly families?: readonly Family[];
  readonly allergens?: readonly Allergen[];
  /** Botanical names. */
  readonly plants?: readonly string[];
  readonly forms?: readonly FoodForm[];
  readonly processings?: readonly Processing[];
  readonly sugarClasses?: readonly SugarClass[];
  /** More than so many grams of a nutrient in 100 g. */
  readonly above?: readonly [nutrient: Nutrient, grams: number];
  readonly alcohol?: true;
  /** Holds for hidden parts of foods only, and for those without the other's form or way of making. */
  readonly part?: true;
  /** Single foods by id: for a household's own lists alone. */
  readonly foods?: readonly string[];
}

/** One clause of a rule; of several the first that holds decides. */
export interface Clause {
  readonly verdict: Verdict;
  readonly when: When;
  /** Why, after the food's name: "is dairy". */
  readonly because: string;
}

export type RuleKind = "diet" | "allergy" | "fast" | "own";

/** A rule as data: it judges foods by properties, never by name. */
export interface Rule {
  /** Its own id; with its school after a stroke where that is not the usual one: "ekadashi/vaishnava". */
  readonly id: string;
  readonly kind: RuleKind;
  readonly name: string;
  /** Short form beside a line: "no dairy". */
  readonly short: string;
  /** Who holds to it so, in words; "usual" where there is one way only. */
  readonly school: string;
  /** What sets this school apart, in one sentence; empty for the usual one of rules that have no other. */
  readonly schoolReason: string;
  readonly clauses: readonly Clause[];
  readonly source: string;
  /** How traces of what is avoided count, as who keeps it needs it; asked about where nobody says. */
  readonly traces?: Traces;
  /** What the household has found out where the rule asks. */
  readonly answers?: readonly RuleAnswer[];
}

/** What traces from a shared line or pan mean to who avoids a food: from nothing to as bad as the food. */
export const TRACES = ["as an ingredient", "asked", "avoided"] as const;
export type Traces = (typeof TRACES)[number];

/** A question that a rule asked about a food, answered once for the household. */
export interface RuleAnswer {
  readonly rule: string;
  readonly food: string;
  /** The question as it was put; where it is put otherwise by now, the answer no longer holds. */
  readonly question: string;
  readonly verdict: "allowed" | "avoid";
  /** ISO date. */
  readonly day: string;
  /** How that is known. */
  readonly note: string;
}

/** Judges a food by a rule, in another form than its own where that is given ("ground"); where the rule asks, the household's own answer to just that question decides. */
export function judge(food: Food, by: Rule, form?: FoodForm): Judgement {
  const found = byProperties(form && food.nature ? { ...food, nature: { ...food.nature, form } } : food, by);
  if (found.verdict !== "ask" || !by.answers) return found;
  const answer = by.answers.find((each) => each.food === food.id && each.question === found.reason);
  return answer ? { verdict: answer.verdict, reason: `${found.reason}; answered on ${answer.day}${answer.note ? `: ${answer.note}` : ""}` } : found;
}

const RANK: Readonly<Record<Verdict, number>> = { allowed: 0, ask: 1, avoid: 2 };
export const isStricter = (one: Verdict, other: Verdict): boolean => RANK[one] > RANK[other];

/**
 * Of the clauses the first that holds decides about the food itself; what it holds beside that and what it may contain are
 * judged as well, and the strictest of all counts: a sure part never hides behind a may. What is not known is asked.
 */
function byProperties(food: Food, by: Rule): Judgement {
  let worst: Judgement = { verdict: "allowed", reason: `${food.name} is within ${by.name.toLowerCase()}` };
  const found = (verdict: Verdict, why: string) => {
    if (isStricter(verdict, worst.verdict)) worst = { verdict, reason: `${food.name}: ${why}` };
  };
  for (const { verdict, when, because } of by.clauses) {
    const holds = fits(food, when);
    if (holds === "unknown" && verdict !== "allowed") found("ask", unknownWords(food, when));
    if (holds !== true) continue;
    found(verdict, because.replace("{allergen}", allergenWords(food, when)));
    break;
  }
  for (const part of food.parts) {
    if (part.origin === "unknown" && by.clauses.some(({ verdict }) => verdict !== "allowed")) found("ask", `holds ${part.name}`);
    const clause = by.clauses.find(({ when }) => partFits(part, when));
    if (!clause || clause.verdict === "allowed") continue;
    if (part.sure) found(clause.verdict, `holds ${part.name}`);
    else found("ask", `some makers put ${part.name} in it`);
  }
  const may = food.mayContain.find(({ allergen }) => by.clauses.some(({ verdict, when }) => verdict !== "allowed" && when.allergens?.includes(allergen)));
  if (may && by.traces !== "as an ingredient") found(by.traces === "avoided" ? "avoid" : "ask", may.why);
  return worst;
}

/** Whether a food is known to fit a condition. */
export const holdsFor = (food: Food, when: When): boolean => fits(food, when) === true;

type Fit = boolean | "unknown";

function fits(food: Food, when: When): Fit {
  if (when.foods && !when.foods.includes(food.id)) return false;
  if (when.families && !when.families.includes(food.family)) return false;
  if (when.allergens && !food.allergens.some((allergen) => when.allergens?.includes(allergen))) return false;
  if (when.sugarClasses && !when.sugarClasses.includes(food.sugarClass)) return false;
  if (when.above && (food.per100g[INDEX[when.above[0]]] ?? 0) <= when.above[1]) return food.unknown.includes(when.above[0]) ? "unknown" : false;
  if (when.alcohol || when.part) return false;
  const { nature } = food;
  const natural = when.plants ?? when.forms ?? when.processings;
  if (nature) {
    if (when.plants && (nature.botanical === null || !when.plants.includes(nature.botanical))) return false;
    if (when.forms && !when.forms.includes(nature.form)) return false;
    if (when.processings && !when.processings.includes(nature.processing)) return false;
  }
  if (when.origins && !when.origins.includes(food.origin)) return food.origin === "unknown" ? "unknown" : false;
  return natural && !nature ? "unknown" : true;
}

/** A hidden part is known by origin, family, plant and whether it is alcohol. */
function partFits(part: FoodPart, when: When): boolean {
  const { origins, families, plants, alcohol, part: ofParts, ...others } = when;
  if ((!ofParts && Object.keys(others).length > 0) || (!origins && !families && !plants && !alcohol)) return false;
  // An alcoholic drink is told from an extract by its family.
  if (alcohol) return part.alcohol && (!families || families.includes(part.family));
  return (
    !part.alcohol &&
    (!origins || origins.includes(part.origin)) &&
    (!families || families.includes(part.family)) &&
    (!plants || (part.plant !== null && plants.includes(part.plant)))
  );
}

function unknownWords({ note }: Food, when: When): string {
  if (when.origins) return `how it is made differs by maker${note ? ` (${note.toLowerCase().replace(/\.$/, "")})` : ""}`;
  if (when.above) return `how much ${when.above[0]} it holds is not known`;
  return "what it is made of is not known well enough";
}

function allergenWords(food: Food, { allergens = [] }: When): string {
  const found = food.allergens.find((allergen) => allergens.includes(allergen)) ?? "";
  return (GLUTEN_CEREALS as readonly string[]).includes(found) ? `gluten of ${found}` : found.replace("-", " ");
}

/** The part of a rule's id that its schools share: "ekadashi" of "ekadashi/strict". */
export const baseOf = (rule: string): string => rule.split("/")[0] ?? rule;
