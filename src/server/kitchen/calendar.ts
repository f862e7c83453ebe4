import { clockTime, dayOf, dayWords, fastingDays, riseOrSet, addDays, type DayAtPlace, type FastAhead, type FastingDay } from "../../core/calendar";
import type { Place } from "../../core/household";
import { getHousehold } from "./sources";
import { Refusal } from "../http/problems";

const DAYS_AHEAD = 45;
/** Sun and moon are reckoned well within these years. */
const [FIRST_YEAR, LAST_YEAR] = [1900, 2100];
const LONGEST_PERIOD = 50;
const known = new Map<string, readonly FastingDay[]>();
const MOST_KNOWN = 20;

function fastsFrom(place: Place, from: string, days: number): readonly FastingDay[] {
  const key = `${place.latitude} ${place.longitude} ${place.timeZone} ${from} ${days}`;
  const found = known.get(key) ?? fastingDays(place, from, days);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, found);
  return found;
}

const told = (place: Place, { ends, ...fast }: FastingDay): FastAhead => ({
  ...fast,
  dayWords: dayWords(fast.day),
  untilWords: fast.until && dayWords(fast.until),
  ends: ends && { what: ends.what, at: clockTime(ends.at, place) },
});

/** The fasting days of the next weeks at the household's place; null while it has named none. */
export async function fastsAhead(now: number): Promise<{ readonly today: string; readonly days: readonly FastAhead[] } | null> {
  const { place } = (await getHousehold()).document;
  if (!place) return null;
  const today = dayOf(now, place);
  return { today, days: fastsFrom(place, today, DAYS_AHEAD).map((day) => told(place, day)) };
}

/** One day at the household's place; 409 while it has named none, 422 where it is no day. */
export async function dayAtPlace(day: string): Promise<DayAtPlace> {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || Number.isNaN(Date.parse(`${day}T12:00:00Z`)) || addDays(day, 0) !== day)
    throw new Refusal(422, "That is no day. Give it as year, month and day: 2026-11-25.", [{ pointer: "/day", detail: `“${day.slice(0, 20)}” is no day.` }]);
  const year = Number(day.slice(0, 4));
  if (year < FIRST_YEAR || year > LAST_YEAR)
    throw new Refusal(422, `Days are reckoned from ${FIRST_YEAR} to ${LAST_YEAR}.`, [{ pointer: "/day", detail: `from ${FIRST_YEAR} to ${LAST_YEAR}` }]);
  const { place } = (await getHousehold()).document;
  if (!place) throw new Refusal(409, "The household has named no place yet: sun and moon go by it.");
  const at = (which: Parameters<typeof riseOrSet>[0]) => {
    const time = riseOrSet(which, day, place);
    return time === null ? null : clockTime(time, place);
  };
  const falls = fastsFrom(place, addDays(day, -LONGEST_PERIOD), LONGEST_PERIOD + 1).filter(
    (each) => each.day === day || (each.until !== null && each.day <= day && day <= each.until),
  );
  const fasts = falls.map((each) => told(place, each));
  return { day, dayWords: dayWords(day), dawn: at("dawn"), sunrise: at("sunrise"), sunset: at("sunset"), moonrise: at("moonrise"), fasts };
}
