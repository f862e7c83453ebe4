import { addDays, dayWords } from "../calendar";
import type { StockPlace } from "../stock";
import { timeIn, type Storage, type StoragePlace } from "./storage";

const PLACE: Readonly<Record<StockPlace, StoragePlace>> = { cupboard: "room", fridge: "fridge", freezer: "freezer" };
const WHERE: Readonly<Record<StockPlace, string>> = { cupboard: "out of the fridge, up to 30 °C,", fridge: "in the fridge", freezer: "in the freezer" };

/** The last day on which a sweet is good that was made on a day and is kept there; null where it is not kept there. */
export function lastDay(storage: Pick<Storage, "times">, place: StockPlace, madeOn: string): string | null {
  const { days } = timeIn(storage, PLACE[place]);
  return days === null || (place === "cupboard" && days === 0) ? null : addDays(madeOn, days);
}

/** Why a sweet cannot be kept so, in words; null where it can. A household may keep it shorter, never longer. */
export function keepingProblem(storage: Pick<Storage, "times" | "thaw" | "unknown">, place: StockPlace, madeOn: string, useBy: string | null): string | null {
  if (useBy !== null && useBy < madeOn) return "Its last day is before the day on which it was made.";
  const { days, hours } = timeIn(storage, PLACE[place]);
  if (days === null) return storage.thaw;
  if (place === "cupboard" && days === 0) return `It does not keep out of the fridge for more than ${hours ?? 2} hours: keep it there.`;
  const last = addDays(madeOn, days);
  if (useBy !== null && useBy <= last) return null;
  const because = storage.unknown === null ? "" : ", as long as nobody knows all that is in it";
  return `It keeps ${daysWords(days)} ${WHERE[place]} at the most${because}, until ${dayWords(last)}: give that day or one before.`;
}

/** "a day", "12 days". */
export const daysWords = (days: number): string => (days === 1 ? "a day" : `${days} days`);

/** A day is the last on which it is good: how long that is in one place, in words. */
export function timeWords(storage: Pick<Storage, "times">, place: StoragePlace): string {
  const { days, hours } = timeIn(storage, place);
  if (days === null) return "not kept there";
  return days === 0 ? `${hours ?? 2} ${hours === 1 ? "hour" : "hours"} at the most` : daysWords(days);
}
