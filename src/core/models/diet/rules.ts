import { GLUTEN_CEREALS, type Allergen, type Food, type Origin } from "../../food";

export type Verdict = "allowed" | "ask" | "avoid";

/** What a rule makes of one food, with its reason in one sentence. */
export interface Judgement {
  readonly verdict: Verdict;
  readonly reason: string;
}

/** A rule as data: it judges foods by properties, never by name. */
export interface Rule {
  readonly id: string;
  readonly name: string;
  /** Short form beside a line: "no dairy". */
  readonly short: string;
  readonly school: string;
  readonly avoidsOrigins: readonly Origin[];
  readonly avoidsAllergens: readonly Allergen[];
  readonly asksAllergens: readonly Allergen[];
  readonly source: string;
}

/** Judges a food by a rule. A food whose origin is unknown is asked about by every rule of origins. */
export function judge(food: Food, by: Rule): Judgement {
  if (by.avoidsOrigins.includes(food.origin)) return { verdict: "avoid", reason: `${food.name}: ${originWords(food.origin)}` };
  const found = food.allergens.find((allergen) => by.avoidsAllergens.includes(allergen));
  if (found) return { verdict: "avoid", reason: `${food.name}: contains ${isGluten(found) ? `gluten of ${found}` : found.replace("-", " ")}` };
  const asked = food.allergens.find((allergen) => by.asksAllergens.includes(allergen));
  if (asked) return { verdict: "ask", reason: `${food.name}: ${asked} is safe for some only, or only when certified` };
  const may = food.mayContain.find(({ allergen }) => by.avoidsAllergens.includes(allergen) || by.asksAllergens.includes(allergen));
  if (may) return { verdict: "ask", reason: `${food.name}: ${may.why}` };
  if (food.origin === "unknown" && by.avoidsOrigins.length > 0)
    return { verdict: "ask", reason: `${food.name}: how it is made differs by maker${food.note ? ` (${food.note.toLowerCase().replace(/\.$/, "")})` : ""}` };
  return { verdict: "allowed", reason: `${food.name} is within ${by.name.toLowerCase()}` };
}

const isGluten = (allergen: Allergen) => (GLUTEN_CEREALS as readonly string[]).includes(allergen);
const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  plant: "of plants",
  dairy: "dairy",
  egg: "egg",
  honey: "made by bees",
  gelatin: "of animal gelatin",
  mineral: "mineral",
  unknown: "of unknown origin",
};
const originWords = (origin: Origin) => ORIGIN_WORDS[origin];
