import { ALLERGENS } from "../food";
import { baseOf, type Traces } from "../models/diet";
import type { Liking } from "../models/sweetness";
import type { Limit } from "./limits";

export const AGE_BANDS = ["under 1", "1 to 5", "child", "adult", "older"] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** Someone who eats at this household, by name or role. */
export interface Eater {
  readonly id: string;
  readonly name: string;
  /** Rules by id, each in its school: diets, allergies, fasts kept always. */
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  /** For the household alone: what else to know. */
  readonly note: string;
  /** What traces of what they avoid mean to them; asked about where absent. */
  readonly traces?: Traces;
  /** Fasts among the rules that are kept on their days only, by the part of the id before the stroke. */
  readonly onDays?: readonly string[];
  /** Rules kept for a time, with the last day, ISO. */
  readonly until?: Readonly<Record<string, string>>;
  /** The day on which they were last asked about allergies, ISO; absent where nobody has. */
  readonly asked?: string;
  readonly age?: AgeBand;
  readonly taste?: Liking;
  /** Of a usual serving; 1 where absent. */
  readonly portion?: number;
}

export interface EatersDocument {
  readonly eaters: readonly Eater[];
}
export const NO_EATERS: EatersDocument = { eaters: [] };
/** What each eater is known by. */
export const EATER_KEYS = { eaters: ({ id }: Eater): string => id };

/** The rule that an age brings with it; none for most. */
const AGE_RULES: Readonly<Partial<Record<AgeBand, string>>> = { "under 1": "small-child/infant", "1 to 5": "small-child" };
/** Share of a usual serving that an age usually eats: a rule of thumb. */
const AGE_PORTIONS: Readonly<Record<AgeBand, number>> = { "under 1": 0.25, "1 to 5": 0.5, child: 0.75, adult: 1, older: 1 };

/** The age of an eater; of one of whom it was not said, what their rules tell. */
export function ageOf({ age, rules }: Pick<Eater, "age" | "rules">): AgeBand {
  const told = AGE_BANDS.find((each) => AGE_RULES[each] !== undefined && rules.includes(AGE_RULES[each]));
  return age ?? told ?? "adult";
}

/** An eater of another age: the rule and the portion of that age take the place of those of the age before. */
export function withAge(eater: Eater, age: AgeBand): Eater {
  const brought = AGE_RULES[age];
  const rules = eater.rules.filter((id) => baseOf(id) !== "small-child");
  return { ...eater, age, portion: AGE_PORTIONS[age], rules: brought === undefined ? rules : [...rules, brought] };
}

const ALLERGY_DIETS = ["gluten-free", "nut-free", "soy-free", "peanut-free", "sesame-free", "egg-free", "dairy-free"];

/** Whether a rule, by id, may be kept for an allergy's sake. */
export const isAllergyRule = (rule: string): boolean => ALLERGY_DIETS.includes(baseOf(rule)) || ALLERGENS.some((allergen) => baseOf(rule) === `no-${allergen}`);

/** What somebody is asked about who comes to eat: by what makes them ill, each with the rule that is strictest about it. */
export const ALLERGIES: readonly { readonly name: string; readonly rule: string }[] = [
  { name: "gluten, of whatever cereal", rule: "gluten-free/no-oats" },
  { name: "any tree nut", rule: "nut-free" },
  ...ALLERGENS.map((allergen) => ({ name: allergen === "soy" ? "soya" : allergen.replace("-", " "), rule: `no-${allergen}` })),
];

/** Kept by many for no allergy's sake: that somebody does says nothing of whether they were asked. */
const DIETS_TOO = ["egg-free", "dairy-free"];

/** Whether nobody ever asked somebody about allergies. Whoever leaves something out for one has told of it. */
export const isNotAsked = ({ asked, rules }: Pick<Eater, "asked" | "rules">): boolean =>
  asked === undefined && !rules.some((rule) => isAllergyRule(rule) && !DIETS_TOO.includes(baseOf(rule)));

/** What of an eater's rules holds on a day: those kept for a time end with it. Without a day all do. */
export const rulesOn = ({ rules, until = {} }: Eater, day: string | null | undefined): readonly string[] =>
  day ? rules.filter((rule) => (until[rule] ?? day) >= day) : rules;
