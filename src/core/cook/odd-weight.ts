import { formatGrams } from "../units";
import { weightsNow, type CookSession } from "./session";
import { stoveLines } from "./stove";

/** More than any flame of a kitchen drives off, g a minute; and what a scale and a wet pan may be off, g. */
const FASTEST = 45;
const OFF = 25;
/** What went in may weigh so much more than by plan: what was soaked, a spoon left in it. */
const BEYOND = 1.3;

/**
 * What is odd about a weight of the pot (g without the pan), so that it is asked about before it is believed: more than all that went
 * in, more than before though nothing went in, less than could have boiled away. Null where nothing is.
 */
export function oddWeight(session: CookSession, grams: number, at: number): string | null {
  const { putIn } = session;
  const all =
    stoveLines(session).reduce((sum, { inNow }) => sum + inNow, 0) + putIn.reduce((sum, { line, grams: each }) => sum + (line === null ? each : 0), 0);
  if (all > 0 && grams > BEYOND * all + OFF) return `That is more than all that has gone in (${formatGrams(Math.round(all))} g). Is the pan taken off?`;
  const last = weightsNow(session).at(-1);
  if (!last || at < last.at) return null;
  const minutes = (at - last.at) / 60_000;
  const lost = last.grams - grams;
  if (lost < -(OFF + 3 * last.sd)) return `That is ${formatGrams(Math.round(-lost))} g more than before, and nothing went in. Was something else on the scale?`;
  if (lost > FASTEST * minutes + OFF + 3 * last.sd)
    return `That is ${formatGrams(Math.round(lost))} g less than ${Math.max(1, Math.round(minutes))} min ago: more than any flame drives off. Was the pot lifted, or some taken out?`;
  return null;
}
