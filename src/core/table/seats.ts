import fastDeepEqual from "fast-deep-equal";
import { baseOf } from "../models/diet";
import { isNotAsked, rulesOn, ageOf, type AgeBand, type Eater } from "./eaters";
import type { BatchBy, DiningTable, Seat } from "./dining-table";
import type { Limit } from "./limits";

/** What of a seat holds on the table's day: a fast that is kept on its days only falls away on others, once it is known which fasts fall. */
export const keptAt = ({ rules, onDays = [] }: Pick<Seat, "rules" | "onDays">, falls: DiningTable["falls"]): readonly string[] =>
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

/**
 * Servings that all who sit at a table eat.
 * @unit servings
 * @range 0 or more
 * @source counted
 */
export const eatenAt = ({ seats = [] }: Pick<DiningTable, "seats">): number => seats.reduce((sum, { servings }) => sum + servings, 0);

/** The table making another amount. Servings by hand are kept to a hundredth. */
export function madeBy(table: DiningTable, batch: BatchBy, servings: number): DiningTable {
  const made = batch === "seats" ? eatenAt(table) || servings : servings;
  return { ...table, batch, servings: Math.max(0.01, Math.round(made * 100) / 100) };
}

/** The table with these seats: rules and limits of all together; how much is made follows only where it goes by them. */
function withSeats(table: DiningTable, own: Pick<DiningTable, "rules" | "limits">, seats: readonly Seat[]): DiningTable {
  return {
    ...table,
    seats,
    rules: [...new Set([...own.rules, ...seats.flatMap((each) => keptAt(each, table.falls))])],
    limits: tightest([...own.limits, ...seats.flatMap(({ limits }) => limits)]),
    servings: table.batch === "seats" && seats.length > 0 ? eatenAt({ seats }) : table.servings,
  };
}

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

/** The table of some of those who sit at it, with their share of what is made; what the table itself leaves out holds for all. */
export function portionOf(table: DiningTable, eaters: readonly string[]): DiningTable {
  const seats = seatsOf(table).filter(({ eater }) => eaters.includes(eater));
  const all = eatenAt(table);
  const servings = all > 0 ? (table.servings * eatenAt({ seats })) / all : table.servings;
  return { ...withSeats(table, ownOf(table), seats), batch: "hand", servings: Math.max(0.01, Math.round(servings * 100) / 100) };
}

/** Whether somebody sits at a table, or its rules are kept for somebody, who is no more than a child. */
export const hasChildren = (table: DiningTable): boolean => [...seatsOf(table).map(ageOf), ageOf({ rules: table.rules })].some((age) => CHILDREN.includes(age));
const CHILDREN: readonly AgeBand[] = ["under 1", "1 to 5", "child"];

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

/** The table with everybody who still eats here seated as they are now, each with as many servings as before: what they leave out since then is kept too. */
export const seatedAnew = (table: DiningTable, eaters: readonly Eater[]): DiningTable =>
  staleSeats(table, eaters).reduce((all, { seat: was, now }) => (now ? seat(all, now, was.servings) : all), table);

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
