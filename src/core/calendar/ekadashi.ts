import { lunarDayAfter, lunarDayAt, moonMansion } from "./lunar-day";
import { addDays, type Day } from "./place";

interface KeptDay {
  readonly day: Day;
  /** The reckoning, in words. */
  readonly how: string;
}

/** The vaishnava reckoning looks whether the 10th lunar day still runs so long before sunrise (four ghatikas). */
const BEFORE_SUNRISE_MS = 96 * 60_000;

type Sunrise = (day: Day) => number | null;

/** An 11th lunar day by the sunrises about it: the first day on which it holds, or the day it runs in where it holds at none. */
interface Eleventh {
  readonly day: Day;
  readonly held: "once" | "twice" | "at none";
  /** The lunar day at a sunrise so many days from that day; null in the polar night. */
  readonly at: (offset: number) => number | null;
}

/** The 11th lunar days of both halves of the month whose first day is one of `days` from `from`. */
function elevenths(sunrise: Sunrise, from: Day, days: number): readonly Eleventh[] {
  const known = new Map<number, number | null>();
  const at = (offset: number): number | null => {
    const found = known.get(offset);
    if (found !== undefined) return found;
    const time = sunrise(addDays(from, offset));
    const lunarDay = time === null ? null : lunarDayAt(time);
    known.set(offset, lunarDay);
    return lunarDay;
  };
  const isEleventh = (lunarDay: number | null) => lunarDay !== null && lunarDay % 15 === 11;
  return Array.from({ length: days }, (_, offset) => offset).flatMap((offset): Eleventh[] => {
    const [before, now, after] = [at(offset - 1), at(offset), at(offset + 1)];
    const first = isEleventh(now) && !isEleventh(before);
    const lost = now !== null && now % 15 === 10 && after === lunarDayAfter(now, 2);
    if (!first && !lost) return [];
    return [{ day: addDays(from, offset), held: lost ? "at none" : isEleventh(after) ? "twice" : "once", at: (by) => at(offset + by) }];
  });
}

/**
 * The reckoning of households (smarta): the day at whose sunrise the 11th holds. At two sunrises the second, where the 12th
 * is left for the morning after; at none, or where the 12th is lost, the day on which it runs beside the 10th, so that the
 * fast is broken within the 12th. (Custom of the almanacs of northern India; Dharmasindhu, on the 11th.)
 */
export function householdEkadashi(sunrise: Sunrise, from: Day, days: number): readonly KeptDay[] {
  // Of an 11th at the border its kept day may be a day before or after its own.
  return elevenths(sunrise, addDays(from, -1), days + 2)
    .map(({ day, held, at }): KeptDay => {
      const holds = "the 11th lunar day holds at sunrise";
      if (held === "at none") return { day, how: `${holds} at none: the day it runs in is taken` };
      if (held === "twice")
        return isTwelfth(at(2)) ? { day: addDays(day, 1), how: `${holds} at two in a row: the second is taken` } : { day, how: `${holds} at two in a row` };
      if (!isTwelfth(at(1))) return { day: addDays(day, -1), how: "the 12th lunar day holds at no sunrise: the day before is taken, on which the 11th begins" };
      return { day, how: holds };
    })
    .filter(({ day }) => day >= from && day < addDays(from, days));
}

const isTwelfth = (lunarDay: number | null) => lunarDay !== null && lunarDay % 15 === 12;
/** Mansions that make a 12th of the light half a great one, where it lasts long enough: by these temples differ. */
const GREAT_BY_MANSION: ReadonlyMap<number, string> = new Map([
  [4, "Rohini"],
  [7, "Punarvasu"],
  [8, "Pushya"],
  [22, "Shravana"],
]);

/**
 * The vaishnava reckoning: the day at whose sunrise the 11th holds, of two the second, and the day after where the 10th
 * still runs 96 minutes before that sunrise, or the 11th holds at none. On a great 12th (Mahadvadashi: the 12th holds at
 * two sunrises, or the full or new moon after it does) the fast is kept on the 12th. Those that go by the moon's mansion
 * are named, not taken: their conditions differ. (Hari-bhakti-vilasa, 12 and 13.)
 */
export function vaishnavaEkadashi(sunrise: Sunrise, from: Day, days: number): readonly KeptDay[] {
  return elevenths(sunrise, addDays(from, -2), days + 2)
    .map((eleventh): KeptDay => {
      const { day, held, at } = eleventh;
      const holds = "the 11th lunar day holds at sunrise";
      if (held === "at none") return { day: addDays(day, 1), how: `${holds} at none: the day after is kept` };
      const pure = held === "twice" ? addDays(day, 1) : day;
      const twelfth = held === "twice" ? 2 : 1;
      const rise = sunrise(day);
      const mixed = held === "once" && rise !== null && lunarDayAt(rise - BEFORE_SUNRISE_MS) % 15 === 10;
      if (mixed) return { day: addDays(day, 1), how: "the 10th still runs 96 minutes before sunrise: the day after is kept" };
      const great = greatTwelfth(at, twelfth);
      if (great !== null) return { day: addDays(day, twelfth), how: `${great}: a great 12th, kept in place of the 11th` };
      const dawn = sunrise(addDays(day, twelfth));
      const light = (at(twelfth) ?? 0) === 12;
      const mansion = light && dawn !== null ? GREAT_BY_MANSION.get(moonMansion(dawn)) : undefined;
      const others = mansion === undefined ? "" : `; on the 12th the moon stands in ${mansion}, for which some temples keep the day after`;
      return { day: pure, how: `${holds}${held === "twice" ? " at two in a row: the second is kept" : ""}${others}` };
    })
    .filter(({ day }) => day >= from && day < addDays(from, days));
}

/** Why the 12th of this fortnight is a great one by its lunar days; null where it is not. `twelfth`: days to the first sunrise that it should hold at. */
function greatTwelfth(at: Eleventh["at"], twelfth: number): string | null {
  if (!isTwelfth(at(twelfth))) return null;
  if (isTwelfth(at(twelfth + 1))) return "the 12th lunar day holds at two sunrises";
  for (let offset = twelfth + 1; offset <= twelfth + 5; offset++) {
    const lunarDay = at(offset);
    if (lunarDay !== null && lunarDay % 15 === 0 && lunarDay === at(offset + 1))
      return `the ${lunarDay === 15 ? "full" : "new"} moon’s day holds at two sunrises`;
  }
  return null;
}
