import type { Food } from "../food";
import { holdsFor, type When } from "../models/diet";
import type { Archetype, Operation } from "../recipe";
import { baseOf, type AgeBand, type DiningTable, type LimitId } from "../substitution";

/** Something to mind, said where it applies: all that is given must hold, any of each list. */
export interface CautionRule {
  readonly id: string;
  readonly text: string;
  readonly source: string;
  /** Foods by their properties. */
  readonly foods?: readonly When[];
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
}

export interface Caution {
  readonly id: string;
  readonly text: string;
  /** The foods it is about; none where it is about something else. */
  readonly foods: readonly string[];
  readonly source: string;
}

/** What is cooked for whom, as cautions need it. */
export interface CautionInput {
  readonly foods: readonly Food[];
  readonly pressed: readonly Food[];
  readonly operations: readonly Operation[];
  readonly archetype: Archetype;
  readonly table: Pick<DiningTable, "rules" | "limits" | "seats">;
}

const any = <T>(asked: readonly T[] | undefined, there: readonly T[]): boolean => asked === undefined || asked.some((each) => there.includes(each));

/** The cautions that apply, in the order of their table. */
export function cautionsFor({ foods, pressed, operations, archetype, table }: CautionInput, rules: readonly CautionRule[]): Caution[] {
  const ages = (table.seats ?? []).flatMap(({ age }) => age ?? []);
  const kept = table.rules.map(baseOf);
  const limits = table.limits.map(({ id }) => id);
  return rules.flatMap((rule) => {
    const meant = rule.foods ? foods.filter((food) => rule.foods?.some((when) => holdsFor(food, when))) : [];
    const milked = rule.pressed
      ? pressed.filter(({ nature }) => rule.pressed?.length === 0 || (nature?.botanical && rule.pressed?.includes(nature.botanical)))
      : [];
    const holds =
      (!rule.foods || meant.length > 0) &&
      (!rule.pressed || milked.length > 0) &&
      any(rule.operations, operations) &&
      !rule.without?.some((each) => operations.includes(each)) &&
      any(rule.archetypes, [archetype]) &&
      any(rule.ages, ages) &&
      any(rule.rules, kept) &&
      any(rule.limits, limits);
    return holds ? [{ id: rule.id, text: rule.text, source: rule.source, foods: [...new Set([...meant, ...milked].map(({ name }) => name))] }] : [];
  });
}
