import { addDays, addMonths, isoDay } from "../calendar";
import type { Packet } from "../pantry";

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const MONTH = "(jan|feb|mar|apr|may|june?|july?|aug|sept?|oct|nov|dec)[a-z]*\\.?";
const UNTIL = /\b(best (?:before|by|if used by)(?: end)?|use (?:by|before)|expir(?:y|es?)|exp\b|bbe?\b|consume (?:before|by))/i;
const MADE = /\b(?:mfg|mfd|manufactur(?:ed|ing)|packed|packaged|pkd|production|packing|packaging|baked)\b/i;
const LASTS =
  /(\d{1,3}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|eighteen|twenty[- ]four|thirty[- ]six) (days?|weeks?|months?|years?)/i;
const WORDS: Readonly<Record<string, number>> = {
  one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, fifteen: 15, eighteen: 18, "twenty four": 24, "thirty six": 36,
}; // prettier-ignore

interface Day {
  readonly day: string;
  /** Day and month could be the other way round; the earlier is taken. */
  readonly either: boolean;
}

/** Of a year in two figures the century is this one. */
const dated = (year: number, month: number, day: number): string | null =>
  month >= 1 && month <= 13 && day <= 31 ? isoDay(year < 100 ? 2000 + year : year, month, day) : null;

/** The first date in a text; a month alone is its last day. */
function dateIn(text: string): Day | null {
  const certain = (day: string | null): Day | null => (day === null ? null : { day, either: false });
  const iso = /\b(20\d{2})[-./](\d{1,2})[-./](\d{1,2})\b/.exec(text);
  if (iso) return certain(dated(Number(iso[1]), Number(iso[2]), Number(iso[3])));
  const monthAt = (name: string | undefined) => MONTHS.indexOf((name ?? "").toLowerCase().slice(0, 3)) + 1;
  const named = new RegExp(`\\b(\\d{1,2})(?:st|nd|rd|th)?[\\s./-]*${MONTH}[\\s./-]*(20\\d{2}|\\d{2})\\b`, "i").exec(text);
  if (named) return certain(dated(Number(named[3]), monthAt(named[2]), Number(named[1])));
  const american = new RegExp(`\\b${MONTH}[\\s./-]*(\\d{1,2})(?:st|nd|rd|th)?,?[\\s./-]+(20\\d{2})\\b`, "i").exec(text);
  if (american) return certain(dated(Number(american[3]), monthAt(american[1]), Number(american[2])));
  const monthly = new RegExp(`\\b${MONTH}[\\s./-]*(20\\d{2}|\\d{2})\\b`, "i").exec(text);
  if (monthly) return certain(dated(Number(monthly[2]), monthAt(monthly[1]) + 1, 0));
  const figures = /\b(\d{1,2})[-./ ](\d{1,2})[-./ ](20\d{2}|\d{2})\b/.exec(text);
  if (figures) {
    const [first, second, year] = [Number(figures[1]), Number(figures[2]), Number(figures[3])];
    const ways = [dated(year, second, first), dated(year, first, second)].filter((each) => each !== null).sort();
    const [earlier] = ways;
    return earlier === undefined ? null : { day: earlier, either: ways.length > 1 && ways[0] !== ways[1] };
  }
  const short = /\b(\d{1,2})[-./ ](20\d{2}|\d{2})\b/.exec(text);
  return short ? certain(dated(Number(short[2]), Number(short[1]) + 1, 0)) : null;
}

/** A date later by so many days, weeks, months or years. */
function later(day: string, text: string): string | null {
  const lasts = LASTS.exec(text);
  if (!lasts) return null;
  const count = WORDS[(lasts[1] ?? "").toLowerCase().replace("-", " ")] ?? Number(lasts[1]);
  const unit = (lasts[2] ?? "").toLowerCase();
  if (unit.startsWith("month")) return addMonths(day, count);
  if (unit.startsWith("year")) return addMonths(day, 12 * count);
  return addDays(day, unit.startsWith("week") ? 7 * count : count);
}

export interface ReadDate {
  readonly keeps: Packet["keeps"];
  /** What is doubtful about it, in words; null where nothing is. */
  readonly doubt: string | null;
}

/** Until when a packet keeps, from all that it says of dates: printed, or so long from the day it was made. */
export function readDate(text: string): ReadDate {
  const until = UNTIL.exec(text);
  if (!until) return { keeps: null, doubt: null };
  const kind = /^use by/i.test(until[0]) ? "use by" : "best before";
  const after = text.slice(until.index + until[0].length, until.index + 120);
  const made = MADE.exec(text);
  const lasting = LASTS.exec(after.slice(0, 40));
  if (lasting) {
    // What it lasts from may stand anywhere, before or after.
    const from = made ? (dateIn(text.slice(made.index).replace(LASTS, "")) ?? dateIn(text)) : null;
    const day = from ? later(from.day, after) : null;
    if (day === null) return { keeps: null, doubt: `It keeps ${lasting[0]} from a day that is not printed here.` };
    return { keeps: { kind, day }, doubt: from?.either ? EITHER : null };
  }
  const date = dateIn(after);
  if (!date) return { keeps: null, doubt: "Its date could not be read." };
  return { keeps: { kind, day: date.day }, doubt: date.either ? EITHER : null };
}
const EITHER = "Day and month of its date could be the other way round: the earlier is taken.";
