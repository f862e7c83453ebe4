import fastDeepEqual from "fast-deep-equal";
import { ALLERGENS } from "../food";
import type { Traces } from "../models/diet";
import type { DiningTable } from "./dining-table";
import type { Limit } from "./problem";

export const AGE_BANDS = ["under 1", "1 to 5", "child", "adult", "older"] as const;
export type AgeBand = (typeof AGE_BANDS)[number];
/** How sweet somebody likes it, beside how it is usually made here. */
export const TASTES = ["less sweet", "as made here", "sweeter"] as const;
export type Taste = (typeof TASTES)[number];

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
  readonly taste?: Taste;
  /** Of a usual serving; 1 where absent. */
  readonly portion?: number;
}

export interface EatersDocument {
  readonly eaters: readonly Eater[];
}
export const NO_EATERS: EatersDocument = { eaters: [] };

/** An eater at a table: what they left out on that day, whatever they leave later. */
export interface Seat {
  readonly eater: string;
  readonly name: string;
  readonly servings: number;
  readonly rules: readonly string[];
  readonly limits: readonly Limit[];
  readonly traces?: Traces;
  readonly onDays?: readonly string[];
  readonly asked?: string;
  readonly age?: AgeBand;
  readonly taste?: Taste;
}

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

export const baseOf = (rule: string): string => rule.split("/")[0] ?? rule;

/** What of a seat holds on the table's day: a fast that is kept on its days only falls away on others, once it is known which fasts fall. */
const keptAt = ({ rules, onDays = [] }: Seat, falls: DiningTable["falls"]): readonly string[] =>
  falls ? rules.filter((rule) => !onDays.includes(baseOf(rule)) || falls.includes(baseOf(rule))) : rules;

const seatsOf = (table: DiningTable): readonly Seat[] => table.seats ?? [];

/** What the table itself leaves out, beside its eaters. */
function ownOf(table: DiningTable): Pick<DiningTable, "rules" | "limits"> {
  const seats = seatsOf(table);
  return {
    rules: table.rules.filter((rule) => !seats.some((each) => keptAt(each, table.falls).includes(rule))),
    limits: table.limits.filter((limit) => !seats.some(({ limits }) => limits.some((each) => each.id === limit.id && each.most === limit.most))),
  };
}

/** The tightest of several limits on the same thing; of free sugars the stricter school. */
function tightest(limits: readonly Limit[]): Limit[] {
  const found = new Map<string, Limit>();
  for (const limit of limits) {
    const known = found.get(limit.id);
    found.set(
      limit.id,
      known ? { id: limit.id, most: Math.min(known.most, limit.most), school: known.school === "uk" || limit.school === "uk" ? "uk" : "who" } : limit,
    );
  }
  return [...found.values()];
}

/** The table with these seats: rules and limits of all together, the servings of all. */
function withSeats(table: DiningTable, own: Pick<DiningTable, "rules" | "limits">, seats: readonly Seat[]): DiningTable {
  return {
    ...table,
    seats,
    rules: [...new Set([...own.rules, ...seats.flatMap((each) => keptAt(each, table.falls))])],
    limits: tightest([...own.limits, ...seats.flatMap(({ limits }) => limits)]),
    servings: seats.length > 0 ? seats.reduce((sum, { servings }) => sum + servings, 0) : table.servings,
  };
}

/** What of an eater's rules holds on a day: those kept for a time end with it. Without a day all do. */
const rulesOn = ({ rules, until = {} }: Eater, day: string | null | undefined): readonly string[] =>
  day ? rules.filter((rule) => (until[rule] ?? day) >= day) : rules;

/** An eater as they sit at a table of that day. */
function seatFor(eater: Eater, servings: number, table: DiningTable): Seat {
  const { id, name, limits, traces, onDays, asked, taste } = eater;
  const age = ageOf(eater);
  return {
    eater: id,
    name,
    servings,
    rules: rulesOn(eater, table.day),
    limits,
    ...(traces ? { traces } : {}),
    ...(onDays && onDays.length > 0 ? { onDays } : {}),
    ...(asked ? { asked } : {}),
    ...(age === "adult" ? {} : { age }),
    ...(taste ? { taste } : {}),
  };
}

/** Seats an eater with so many servings (their usual portion unless said), or seats them anew as they are now. */
export function seat(table: DiningTable, eater: Eater, servings = eater.portion ?? 1): DiningTable {
  const own = ownOf(table);
  const { id } = eater;
  const fresh = seatFor(eater, servings, table);
  const seats = seatsOf(table);
  return withSeats(table, own, seats.some(({ eater }) => eater === id) ? seats.map((each) => (each.eater === id ? fresh : each)) : [...seats, fresh]);
}

/** Takes an eater from the table, and with them what only they leave out. */
export const unseat = (table: DiningTable, eater: string): DiningTable =>
  withSeats(
    table,
    ownOf(table),
    seatsOf(table).filter((each) => each.eater !== eater),
  );

/** Another number of servings for who sits there already. */
export const serveSeat = (table: DiningTable, eater: string, servings: number): DiningTable =>
  withSeats(
    table,
    ownOf(table),
    seatsOf(table).map((each) => (each.eater === eater ? { ...each, servings } : each)),
  );

/**
 * The table on another day, with the fasts (by the part of the id before the stroke) that fall on it; null where that is
 * not known, and then every fast of who sits here is kept.
 */
export const onDay = (table: DiningTable, day: string | null, falls: readonly string[] | null): DiningTable =>
  withSeats({ ...table, day, falls }, ownOf(table), seatsOf(table));

/** Fasts of who sits here that do not fall on the table's day, and so are not kept at it. */
export const fastsNotToday = (table: DiningTable): readonly { readonly name: string; readonly rules: readonly string[] }[] =>
  seatsOf(table).flatMap((each) => {
    const kept = keptAt(each, table.falls);
    const rules = each.rules.filter((rule) => !kept.includes(rule));
    return rules.length > 0 ? [{ name: each.name, rules }] : [];
  });

/** Whose each rule of a table is, by name; none for what the table itself leaves out. */
export function whoseRules(table: DiningTable): ReadonlyMap<string, readonly string[]> {
  return new Map(table.rules.map((rule) => [rule, seatsOf(table).flatMap(({ name, rules }) => (rules.includes(rule) ? [name] : []))] as const));
}

const ALLERGY_DIETS = ["gluten-free", "nut-free", "soy-free", "peanut-free", "sesame-free", "egg-free", "dairy-free"];

/** Whether a rule, by id, may be kept for an allergy's sake. */
export const isAllergyRule = (rule: string): boolean => ALLERGY_DIETS.includes(baseOf(rule)) || ALLERGENS.some((allergen) => baseOf(rule) === `no-${allergen}`);

/** Kept by many for no allergy's sake: that somebody does says nothing of whether they were asked. */
const DIETS_TOO = ["egg-free", "dairy-free"];

/** Whether nobody ever asked somebody about allergies. Whoever leaves something out for one has told of it. */
export const isNotAsked = ({ asked, rules }: Pick<Eater, "asked" | "rules">): boolean =>
  asked === undefined && !rules.some((rule) => isAllergyRule(rule) && !DIETS_TOO.includes(baseOf(rule)));

/** Who sits at a table and was never asked about allergies. */
export const notAsked = (table: DiningTable): readonly Seat[] => seatsOf(table).filter(isNotAsked);

/** The table once somebody at it was asked about allergies on a day, and has none. */
export const askedAt = (table: DiningTable, eater: string, day: string): DiningTable => ({
  ...table,
  seats: seatsOf(table).map((each) => (each.eater === eater ? { ...each, asked: day } : each)),
});

/** Seats whose eater is gone, or leaves out other things by now. */
export function staleSeats(table: DiningTable, eaters: readonly Eater[]): readonly { readonly seat: Seat; readonly now: Eater | null }[] {
  return seatsOf(table).flatMap((each) => {
    const now = eaters.find(({ id }) => id === each.eater) ?? null;
    // Who was asked at this table alone need not be asked again; who was asked since is.
    const fresh = now && { ...seatFor(now, each.servings, table), name: each.name, asked: each.asked ?? now.asked };
    const same = fresh !== null && fastDeepEqual(fresh, { ...each, asked: each.asked });
    return same ? [] : [{ seat: each, now }];
  });
}

/** What somebody at the table leaves out, but the table does not keep: it was taken off by hand. */
export function unkept(table: DiningTable): readonly { readonly seat: Seat; readonly rules: readonly string[]; readonly limits: readonly Limit[] }[] {
  return seatsOf(table).flatMap((each) => {
    const rules = keptAt(each, table.falls).filter((rule) => !table.rules.includes(rule));
    const limits = each.limits.filter((limit) => !table.limits.some(({ id, most }) => id === limit.id && most <= limit.most));
    return rules.length + limits.length > 0 ? [{ seat: each, rules, limits }] : [];
  });
}

/** Puts back what everybody at the table leaves out. */
export const keepAll = (table: DiningTable): DiningTable => withSeats(table, ownOf(table), seatsOf(table));
