import { fail, succeed, type Result } from "../numeric";
import type { Place } from "../household";

/** A day of the calendar, "2026-11-25". */
export type Day = string;

export interface PlaceProblem {
  readonly field: keyof Place;
  readonly why: string;
}

/** A place that can be reckoned with, or what is wrong with it, field by field. */
export function checkedPlace(place: Place): Result<Place, readonly PlaceProblem[]> {
  const problems: PlaceProblem[] = [];
  if (!(Math.abs(place.latitude) <= 90)) problems.push({ field: "latitude", why: "Latitude is between −90 (south) and 90 (north)." });
  if (!(Math.abs(place.longitude) <= 180)) problems.push({ field: "longitude", why: "Longitude is between −180 (west) and 180 (east)." });
  try {
    formatOf(place.timeZone);
  } catch {
    problems.push({ field: "timeZone", why: `“${place.timeZone}” is no time zone; give one such as Asia/Kolkata or Europe/London.` });
  }
  return problems.length > 0 ? fail(problems) : succeed(place);
}

const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat("en-GB", {
    timeZone,
    hourCycle: "h23",
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
    hour: "2-digit",
    minute: "2-digit",
    second: "2-digit",
  });
  formats.set(timeZone, made);
  return made;
}

/** What the clocks of a zone show at a moment, as if it were UTC, ms. */
function clockOf(time: number, timeZone: string): number {
  const parts = new Map(
    formatOf(timeZone)
      .formatToParts(time)
      .map(({ type, value }) => [type, Number(value)] as const),
  );
  const of = (type: Intl.DateTimeFormatPartTypes) => parts.get(type) ?? 0;
  return Date.UTC(of("year"), of("month") - 1, of("day"), of("hour"), of("minute"), of("second"));
}

/** The day that a moment falls in, at a place. */
export const dayOf = (time: number, { timeZone }: Pick<Place, "timeZone">): Day => new Date(clockOf(time, timeZone)).toISOString().slice(0, 10);

/** The clock time of a moment at a place, "04:52". */
export const clockTime = (time: number, { timeZone }: Pick<Place, "timeZone">): string => new Date(clockOf(time, timeZone)).toISOString().slice(11, 16);

/** The day so many days later. */
export const addDays = (day: Day, days: number): Day => new Date(Date.parse(`${day}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/**
 * Days from one day to another.
 * @unit days; negative where the other is before
 * @range any two days
 * @source the calendar
 */
export const daysBetween = (from: Day, to: Day): number => Math.round((Date.parse(`${to}T12:00:00Z`) - Date.parse(`${from}T12:00:00Z`)) / 86_400_000);

/**
 * The first moment of a day at a place, ms; where clocks are put on at midnight, the first one that there is.
 * @unit ms since 1970
 * @range any day, any zone of the platform's tables
 * @source the platform's time zones
 */
export function startOfDay(day: Day, { timeZone }: Pick<Place, "timeZone">): number {
  const wanted = Date.parse(`${day}T00:00:00Z`);
  let time = wanted;
  for (let i = 0; i < 3; i++) time += wanted - clockOf(time, timeZone);
  // Where midnight is skipped the clock shows the evening before or a later hour: step to the border.
  while (dayOf(time, { timeZone }) < day) time += 900_000;
  while (dayOf(time - 900_000, { timeZone }) === day) time -= 900_000;
  return time;
}

/**
 * The moment at which the clocks of a zone show an hour of a day, "19:40", ms: of an hour that comes twice the first; of one that is left out, as many minutes
 * after the border as it would have been.
 * @unit ms since 1970
 * @range any day, hours from 00:00 to 23:59
 * @source the platform's time zones
 */
export function momentAt(day: Day, hour: string, { timeZone }: Pick<Place, "timeZone">): number {
  const wanted = Date.parse(`${day}T${hour}:00Z`);
  // A zone is within 14 hours of UTC: what it is off by on either side of the hour.
  const [before, after] = [-1, 1].map((side) => clockOf(wanted + side * 50_400_000, timeZone) - (wanted + side * 50_400_000));
  const shows = (time: number) => clockOf(time, timeZone) === wanted;
  return [before, after].map((off = 0) => wanted - off).find(shows) ?? wanted - (before ?? 0);
}

const DAY_WORDS = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" });

/** A day in words: "Thu 26 Nov" or "Thu, 26 Nov", as the platform writes it. */
export const dayWords = (day: Day): string => DAY_WORDS.format(new Date(`${day}T12:00:00Z`));
