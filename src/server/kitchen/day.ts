import { dayOf } from "../../core/calendar";
import { baseOf } from "../../core/models/diet";
import { dayAtPlace } from "./calendar";
import { getHousehold } from "./sources";

/** Days where the household is, of moments; by this machine's zone while it has named no place. */
export async function dayHere(): Promise<(at: number) => string> {
  const { place } = (await getHousehold()).document;
  const zone = place ?? { timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone };
  return (at) => dayOf(at, zone);
}

/** Today, and the fasts that fall on it; null where the household has named no place: it is not known then, and all are kept. */
export async function fastsToday(): Promise<{ readonly day: string; readonly falls: readonly string[] | null }> {
  const [dayOf, { document }] = await Promise.all([dayHere(), getHousehold()]);
  const day = dayOf(Date.now());
  const falls = document.place ? (await dayAtPlace(day)).fasts.flatMap(({ rule }) => (rule === null ? [] : [baseOf(rule)])) : null;
  return { day, falls: falls && [...new Set(falls)].sort() };
}
