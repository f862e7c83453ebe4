import { easter, orthodoxEaster } from "date-easter";
import { householdEkadashi, vaishnavaEkadashi } from "./ekadashi";
import { lunarDayAfter, lunarDayAt, newMoonBefore, siderealSun } from "./lunar-day";
import type { Place } from "../household";
import { addDays, startOfDay, type Day } from "./place";
import { moonriseOfNight, riseOrSet } from "./sun-moon";

/** A day that a tradition keeps, as computed; the household's own almanac goes before it. */
export interface FastingDay {
  readonly day: Day;
  /** Last day where it lasts longer than one. */
  readonly until: Day | null;
  /** The rule by which food is judged on it: "ekadashi"; null where it goes by the hour alone. */
  readonly rule: string | null;
  readonly name: string;
  /** The reckoning, in words. */
  readonly how: string;
  /** The fast ends when this comes, ms; null where it ends by the next morning or with the period. */
  readonly ends: { readonly what: "moonrise" | "sunset"; readonly at: number } | null;
}

/** A fasting day as it is shown: days in words, clock times the place's own. */
export interface FastAhead extends Omit<FastingDay, "ends"> {
  readonly dayWords: string;
  readonly untilWords: string | null;
  readonly ends: { readonly what: "moonrise" | "sunset"; readonly at: string } | null;
}

/** One day at a place: sun, moon, and the fasts that fall on it. Clock times; null where one does not come that day. */
export interface DayAtPlace {
  readonly day: Day;
  readonly dayWords: string;
  readonly dawn: string | null;
  readonly sunrise: string | null;
  readonly sunset: string | null;
  readonly moonrise: string | null;
  readonly fasts: readonly FastAhead[];
}

/** A moment of each day, ms; null where it does not come on that day. */
type Moment = (day: Day) => number | null;

/**
 * Days of `days` from `from` on which a lunar day holds at a moment. One that holds at two moments in a row is taken at the
 * first; one that holds at none, between two days, on the earlier one, or the later where `later`.
 */
function daysOf(
  wanted: readonly number[],
  moment: Moment,
  from: Day,
  days: number,
  later = false,
): readonly { readonly day: Day; readonly held: "once" | "twice" | "at none" }[] {
  const at = (offset: number): number | null => {
    const time = moment(addDays(from, offset));
    return time === null ? null : lunarDayAt(time);
  };
  const found: { day: Day; held: "once" | "twice" | "at none" }[] = [];
  let [before, now] = [at(-1), at(0)];
  for (let offset = 0; offset < days; offset++) {
    const after = at(offset + 1);
    const day = addDays(from, offset);
    if (now !== null && wanted.includes(now)) {
      if (before !== now) found.push({ day, held: after === now ? "twice" : "once" });
    } else {
      const [here, there] = later ? [before, now] : [now, after];
      if (wanted.some((each) => here === lunarDayAfter(each, -1) && there === lunarDayAfter(each, 1))) found.push({ day, held: "at none" });
    }
    [before, now] = [now, after];
  }
  return found;
}

const HELD = { once: "", twice: " on two days in a row: the first is taken", "at none": " at none: the day it begins on is taken" } as const;
const HELD_LATER = { ...HELD, "at none": " at none: the day after it begins is taken" } as const;
/** Some almanacs take the 13th lunar day where it holds at any time so long after sunset (six ghatikas). */
const EVENING_MS = 144 * 60_000;

/** The fasting days of so many days from a day, at a place, in order. Computed, not looked up. */
export function fastingDays(place: Place, from: Day, days: number): FastingDay[] {
  const sunrise: Moment = (day) => riseOrSet("sunrise", day, place);
  const sunset: Moment = (day) => riseOrSet("sunset", day, place);
  const moonrise: Moment = (day) => moonriseOfNight(day, place);
  const midnight: Moment = (day) => {
    const [set, rise] = [sunset(day), sunrise(addDays(day, 1))];
    return set === null || rise === null ? null : (set + rise) / 2;
  };
  const one = (day: Day, rule: string | null, name: string, how: string, ends: FastingDay["ends"] = null): FastingDay => ({
    day,
    until: null,
    rule,
    name,
    how,
    ends,
  });
  const found: FastingDay[] = [];
  for (const { day, how } of householdEkadashi(sunrise, from, days)) found.push(one(day, "ekadashi", "Ekadashi, household reckoning", how));
  for (const { day, how } of vaishnavaEkadashi(sunrise, from, days)) found.push(one(day, "ekadashi/vaishnava", "Ekadashi, vaishnava reckoning", how));
  for (const { day, held } of daysOf([13, 28], sunset, from, days)) {
    const before = sunset(addDays(day, -1));
    const begun = held !== "at none" && before !== null && [13, 28].includes(lunarDayAt(before + EVENING_MS));
    const others = begun ? "; it begins in the evening before, which some almanacs keep" : "";
    found.push(one(day, "pradosha", "Pradosha", `the 13th lunar day holds at sunset${HELD[held]}${others}`));
  }
  for (const { day, held } of daysOf([29], midnight, from, days)) {
    const great = Math.floor(siderealSun(startOfDay(day, place)) / 30) === 10;
    found.push(
      one(day, "shivaratri", great ? "Great Shivaratri" : "Shivaratri of the month", `the 14th lunar day of the dark half holds at midnight${HELD[held]}`),
    );
  }
  for (const { day, held } of daysOf([19], moonrise, from, days, true)) {
    const at = moonrise(day);
    found.push(
      one(
        day,
        null,
        "Fast until moonrise (Sankashti)",
        `the 4th lunar day of the dark half holds at moonrise${HELD_LATER[held]}`,
        at === null ? null : { what: "moonrise", at },
      ),
    );
  }
  found.push(...navratris(sunrise, from, days), ...lents(from, days), ...ramadans(from, days));
  return found.sort((a, b) => a.day.localeCompare(b.day) || a.name.localeCompare(b.name));
}

/** Nine nights from the first lunar day of Chaitra (sun in sidereal Pisces at the new moon) and of Ashvina (in Virgo); of a doubled month the second. */
function navratris(sunrise: Moment, from: Day, days: number): FastingDay[] {
  const signAt = (time: number) => Math.floor(siderealSun(time) / 30);
  return daysOf([1], sunrise, from, days).flatMap(({ day }): FastingDay[] => {
    const noon = Date.parse(`${day}T12:00:00Z`);
    const moon = newMoonBefore(noon);
    const sign = signAt(moon);
    const next = newMoonBefore(moon + 31 * 86_400_000);
    if ((sign !== 11 && sign !== 5) || signAt(next) === sign) return [];
    const end = daysOf([9], sunrise, day, 11)[0]?.day ?? addDays(day, 8);
    return [
      {
        day,
        until: end,
        rule: "navratri",
        name: sign === 5 ? "Navratri of autumn" : "Navratri of spring",
        how: "from the first to the ninth lunar day after the new moon, at sunrise",
        ends: null,
      },
    ];
  });
}

const iso = ({ year, month, day }: { readonly year: number; readonly month: number; readonly day: number }): Day =>
  `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;

const OLD_CALENDAR = "; 13 days later where the old calendar is kept";
const OLD_CALENDAR_END = "; to 11 July where the old calendar is kept";

function lents(from: Day, days: number): FastingDay[] {
  const to = addDays(from, days - 1);
  const year = Number(from.slice(0, 4));
  return [year, year + 1, year + 2].flatMap((each): FastingDay[] => {
    const [west, east] = [iso(easter(each)), iso(orthodoxEaster(each))];
    const period = (day: Day, until: Day, rule: string | null, name: string, how: string): FastingDay[] =>
      until >= from && day <= to ? [{ day, until, rule, name, how, ends: null }] : [];
    return [
      ...period(addDays(east, -48), addDays(east, -1), "orthodox-lent", "Great Lent, Orthodox", `48 days before Easter, ${east}`),
      ...period(`${each}-11-15`, `${each}-12-24`, "orthodox-nativity", "Nativity fast, Orthodox", `15 November to 24 December${OLD_CALENDAR}`),
      ...period(`${each}-08-01`, `${each}-08-14`, "orthodox-dormition", "Dormition fast, Orthodox", `1 to 14 August${OLD_CALENDAR}`),
      // In years of a late Easter it has no day by the new calendar.
      ...(addDays(east, 57) <= `${each}-06-28`
        ? period(
            addDays(east, 57),
            `${each}-06-28`,
            "orthodox-apostles",
            "Apostles’ fast, Orthodox",
            `from the second Monday after Pentecost to 28 June${OLD_CALENDAR_END}`,
          )
        : []),
      ...period(addDays(west, -46), addDays(west, -1), null, "Lent, western", `from Ash Wednesday, 46 days before Easter, ${west}`),
    ];
  });
}

const HIJRI = new Intl.DateTimeFormat("en-u-ca-islamic-umalqura", { timeZone: "UTC", month: "numeric", day: "numeric" });

/** Ramadan by the Umm al-Qura calendar; where the crescent is looked for it may begin a day later or earlier. */
function ramadans(from: Day, days: number): FastingDay[] {
  const found: FastingDay[] = [];
  const monthOf = (day: Day) => Number(HIJRI.formatToParts(Date.parse(`${day}T12:00:00Z`)).find(({ type }) => type === "month")?.value);
  let start: Day | null = null;
  for (let offset = -30; offset <= days + 30; offset++) {
    const day = addDays(from, offset);
    const inside = monthOf(day) === 9;
    if (inside) start ??= day;
    if (inside || start === null) continue;
    const until = addDays(day, -1);
    if (until >= from && start < addDays(from, days))
      found.push({
        day: start,
        until,
        rule: "ramadan",
        name: "Ramadan",
        how: "by the Umm al-Qura calendar; where the crescent is looked for, a day earlier or later",
        ends: null,
      });
    start = null;
  }
  return found;
}

/** How an hour of a day breaks fasts that go by the hour, for who keeps rules by id: one that is not over yet, between first light and sunset, after sunset. */
export function hourBreaks(hour: string, at: Pick<DayAtPlace, "dawn" | "sunset" | "fasts">, rules: readonly string[]): readonly string[] {
  const told = at.fasts.flatMap(({ name, ends, rule }): readonly string[] => {
    if (ends && hour < ends.at) return [`${name} ends with ${ends.what}, at ${ends.at}. Serve after it.`];
    if (rule === "ramadan" && rules.includes("ramadan")) {
      if (at.dawn === null || at.sunset === null) return ["The sun does not rise or set that day: go by the rule of your community."];
      if (hour >= at.dawn && hour < at.sunset) return [`Nothing is eaten between first light, ${at.dawn}, and sunset, ${at.sunset}.`];
    }
    return [];
  });
  const isJain = rules.some((id) => id.startsWith("jain"));
  return [
    ...new Set([...told, ...(isJain && at.sunset !== null && hour >= at.sunset ? [`After sunset, ${at.sunset}, nothing is eaten by the jain way.`] : [])]),
  ];
}
