import { Body, Observer, SearchAltitude, SearchRiseSet } from "astronomy-engine";
import type { Place } from "../household";
import { addDays, startOfDay, type Day } from "./place";

/** Degrees of the sun below the horizon at the first light that ends the night's meal (by most reckonings; others take 15 to 19.5). */
const DAWN_DEGREES = -18;
const DAY_MS = 86_400_000;

export type RiseOrSet = "sunrise" | "sunset" | "moonrise" | "moonset" | "dawn";

/**
 * When sun or moon rise or set on a day at a place, ms; null where they do not on that day (the moon skips a day a month,
 * the sun in polar summer and winter). Upper limb, usual refraction, sea level; `astronomy-engine`.
 * @unit ms since 1970
 * @range latitudes −90 to 90
 * @source astronomy-engine
 */
export function riseOrSet(which: RiseOrSet, day: Day, place: Place): number | null {
  const [from, to] = [startOfDay(day, place), startOfDay(addDays(day, 1), place)];
  const observer = new Observer(place.latitude, place.longitude, 0);
  const limit = (to - from) / DAY_MS;
  const found =
    which === "dawn"
      ? SearchAltitude(Body.Sun, observer, 1, new Date(from), limit, DAWN_DEGREES)
      : SearchRiseSet(which.startsWith("sun") ? Body.Sun : Body.Moon, observer, which.endsWith("rise") ? 1 : -1, new Date(from), limit);
  const time = found?.date.getTime();
  return time === undefined || time < from || time >= to ? null : time;
}

/**
 * The moonrise of the night that a day leads into, from its noon to the next, ms; null where there is none.
 * @unit ms since 1970
 * @range latitudes −90 to 90
 * @source astronomy-engine
 */
export function moonriseOfNight(day: Day, place: Place): number | null {
  const noon = (of: Day) => (startOfDay(of, place) + startOfDay(addDays(of, 1), place)) / 2;
  const today = riseOrSet("moonrise", day, place);
  if (today !== null && today >= noon(day)) return today;
  const after = riseOrSet("moonrise", addDays(day, 1), place);
  return after !== null && after < noon(addDays(day, 1)) ? after : null;
}
