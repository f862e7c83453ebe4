import type { Food } from "../food";
import { holdsFor, baseOf, type When } from "../models/diet";
import type { Archetype, LineId, Operation, ReadRecipe } from "../recipe";
import { AGE_BANDS, type AgeBand, type DiningTable, type LimitId } from "../table";

/** Something to mind, said where it applies: all that is given must hold, any of each list. */
export interface CautionRule {
  readonly id: string;
  readonly grade: CautionGrade;
  readonly text: string;
  readonly source: string;
  /** Whoever eats it has to know, so that it stands on its label too. */
  readonly forEater?: true;
  /** Foods by their properties. */
  readonly foods?: readonly When[];
  /** Of those foods together more than so many grams in a serving. */
  readonly over?: number;
  /** Words or phrases of a line or step, any of them, in small letters. */
  readonly words?: readonly string[];
  /** Something stands longer than this to soak or rest, minutes. */
  readonly soakedOver?: number;
  /** Foods that are pressed here, by plant; an empty list means any. */
  readonly pressed?: readonly string[];
  readonly operations?: readonly Operation[];
  /** None of these is done. */
  readonly without?: readonly Operation[];
  readonly archetypes?: readonly Archetype[];
  readonly ages?: readonly AgeBand[];
  /** Rules kept at the table, by the part of the id before the stroke. */
  readonly rules?: readonly string[];
  readonly limits?: readonly LimitId[];
  /** Sits at the table: by age, or by a rule that is kept. */
  readonly who?: { readonly ages: readonly AgeBand[]; readonly rules: readonly string[] };
}

/** What can hurt badly; what to take care of; what is only good to know. */
export const CAUTION_GRADES = ["danger", "care", "know"] as const;
export type CautionGrade = (typeof CAUTION_GRADES)[number];

export interface Caution {
  readonly id: string;
  readonly grade: CautionGrade;
  readonly text: string;
  /** The foods it is about; none where it is about something else. */
  readonly foods: readonly string[];
  readonly source: string;
}

/** What is cooked for whom, as cautions need it. */
export interface CautionInput {
  readonly foods: readonly Food[];
  /** Grams of a food by id in the whole sweet, of those whose amount is known. */
  readonly grams: ReadonlyMap<string, number>;
  readonly pressed: readonly Food[];
  readonly operations: readonly Operation[];
  /** The lines and steps as they are written. */
  readonly texts: readonly string[];
  /** The longest that anything soaks, minutes. */
  readonly soaked: number;
  readonly servings: number;
  readonly archetype: Archetype;
  readonly table: Pick<DiningTable, "rules" | "limits" | "seats">;
}

const any = <T>(asked: readonly T[] | undefined, there: readonly T[]): boolean => asked === undefined || asked.some((each) => there.includes(each));

/** What a recipe, or a version of it with other foods, gives cautions to go by. */
export function cautionInput(
  { readings, byLine, ledger, steps, archetype, recipe }: ReadRecipe,
  foods: readonly { readonly food: Food; readonly grams: number }[],
  servings: number,
  pressed: readonly LineId[],
): Omit<CautionInput, "table"> {
  const grams = new Map<string, number>();
  for (const each of foods) grams.set(each.food.id, (grams.get(each.food.id) ?? 0) + each.grams);
  // What an unread line names is in the pot all the same.
  const named = readings.flatMap((each) => (each.kind === "food unknown" ? each.beside.foods : []));
  return {
    foods: [...new Map([...foods.map(({ food }) => food), ...named].map((food) => [food.id, food] as const)).values()],
    grams,
    pressed: pressed
      .filter((line) => ledger.pressedIn.has(line))
      .flatMap((line) => {
        const each = byLine.get(line);
        return each && "food" in each ? [each.food] : [];
      }),
    operations: steps.flatMap((step) => step.operations),
    archetype,
    texts: [...recipe.lines.map(({ text }) => text), ...steps.map(({ step }) => step.text)],
    soaked: Math.max(0, ...steps.filter(({ operations }) => operations.includes("soak")).map(({ minutes }) => minutes.usual)),
    servings,
  };
}

/** The cautions that apply: what can hurt most first, then in the order of their table. */
export function cautionsFor(
  { foods, grams, pressed, operations, archetype, texts, soaked, servings, table }: CautionInput,
  rules: readonly CautionRule[],
): Caution[] {
  const ages = (table.seats ?? []).flatMap(({ age }) => age ?? []);
  const kept = table.rules.map(baseOf);
  const limits = table.limits.map(({ id }) => id);
  const said = ` ${texts
    .join(" . ")
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, " ")} `;
  const found = rules.flatMap((rule): Caution[] => {
    const meant = rule.foods ? foods.filter((food) => rule.foods?.some((when) => holdsFor(food, when))) : [];
    const milked = rule.pressed
      ? pressed.filter(({ nature }) => rule.pressed?.length === 0 || (nature?.botanical && rule.pressed?.includes(nature.botanical)))
      : [];
    const holds =
      (!rule.foods || meant.length > 0) &&
      (rule.over === undefined || meant.reduce((sum, { id }) => sum + (grams.get(id) ?? 0), 0) > rule.over * servings) &&
      (!rule.words || rule.words.some((words) => said.includes(` ${words} `))) &&
      (rule.soakedOver === undefined || soaked > rule.soakedOver) &&
      (!rule.pressed || milked.length > 0) &&
      any(rule.operations, operations) &&
      !rule.without?.some((each) => operations.includes(each)) &&
      any(rule.archetypes, [archetype]) &&
      any(rule.ages, ages) &&
      any(rule.rules, kept) &&
      any(rule.limits, limits) &&
      (!rule.who || rule.who.ages.some((age) => ages.includes(age)) || rule.who.rules.some((id) => kept.includes(id)));
    return holds
      ? [{ id: rule.id, grade: rule.grade, text: rule.text, source: rule.source, foods: [...new Set([...meant, ...milked].map(({ name }) => name))] }]
      : [];
  });
  return CAUTION_GRADES.flatMap((grade) => found.filter((each) => each.grade === grade));
}

/** All ages at one table: who will eat of a jar nobody knows. */
const ANYBODY = AGE_BANDS.map((age) => ({ eater: age, name: age, servings: 1, rules: [], limits: [], age }));

/** The cautions that whoever eats it has to know, of whatever age: they go with the sweet. */
export const cautionsForEaters = (input: Omit<CautionInput, "table">, rules: readonly CautionRule[]): Caution[] =>
  cautionsFor(
    { ...input, table: { rules: [], limits: [], seats: ANYBODY } },
    rules.filter(({ forEater }) => forEater === true),
  );
