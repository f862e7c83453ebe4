import { EclipticGeoMoon, MoonPhase, SearchMoonPhase, SunPosition } from "astronomy-engine";

const DEGREES = 12;

/**
 * The lunar day (tithi) at a moment, 1 to 30: the moon's elongation from the sun by steps of 12°; 15 ends full, 30 new.
 * @unit lunar day
 * @range 1 to 30
 * @source definition of the tithi; places of sun and moon by astronomy-engine
 */
export const lunarDayAt = (time: number): number => Math.floor(MoonPhase(new Date(time)) / DEGREES) + 1;

/**
 * The lunar day so many after one, from 1 to 30 again.
 * @unit lunar day
 * @range 1 to 30
 * @source counted
 */
export const lunarDayAfter = (lunarDay: number, by: number): number => ((lunarDay - 1 + by + 30) % 30) + 1;

/** The moments between which the lunar day of a moment lasts, ms. */
export function lunarDaySpan(time: number): { readonly from: number; readonly to: number } {
  const lunarDay = lunarDayAt(time);
  const begins = (lunarDay - 1) * DEGREES;
  const from = SearchMoonPhase(begins % 360, new Date(time - 1.3 * 86_400_000), 1.31)?.date.getTime() ?? time;
  const to = SearchMoonPhase((begins + DEGREES) % 360, new Date(time), 1.3)?.date.getTime() ?? time;
  return { from, to };
}

/**
 * The sun's sidereal longitude, degrees (Lahiri's reckoning, to 0.05°): by its sign lunar months are named.
 * @unit degrees
 * @range 0 to 360
 * @source Lahiri's reckoning of the sidereal zero; the sun's place by astronomy-engine
 */
export const siderealSun = (time: number): number => sidereal(SunPosition(new Date(time)).elon, time);

/**
 * The moon's mansion (nakshatra) at a moment, 1 (Ashvini) to 27 (Revati), by the same reckoning.
 * @unit mansion
 * @range 1 to 27
 * @source 360° by 27, from Lahiri's zero
 */
export const moonMansion = (time: number): number => Math.floor(sidereal(EclipticGeoMoon(new Date(time)).lon, time) / (360 / 27)) + 1;

function sidereal(longitude: number, time: number): number {
  const years = (time - Date.UTC(2000, 0, 1)) / (365.25 * 86_400_000);
  const ayanamsa = 23.853 + 0.013_97 * years;
  return (longitude - ayanamsa + 360) % 360;
}

/**
 * The new moon at or before a moment, ms.
 * @unit ms since 1970
 * @range the last 30 days before the moment
 * @source astronomy-engine
 */
export const newMoonBefore = (time: number): number => {
  const found = SearchMoonPhase(0, new Date(time - 31 * 86_400_000), 31);
  let last = found?.date.getTime() ?? time;
  for (;;) {
    const next = SearchMoonPhase(0, new Date(last + 86_400_000), 31)?.date.getTime() ?? Infinity;
    if (next > time) return last;
    last = next;
  }
};
