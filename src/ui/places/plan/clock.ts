import { clockTime, dayOf, dayWords } from "../../../core/calendar";
import { momentOfMinute, readyAt, type Gathering } from "../../../core/plan";

/** Minutes of a gathering's plan as its clocks show them. */
export interface PlanClock {
  /** "18:30". */
  readonly time: (minute: number) => string;
  /** ISO day. */
  readonly day: (minute: number) => string;
  readonly dayName: (minute: number) => string;
  /** "2026-12-05T18:30". */
  readonly stamp: (minute: number) => string;
  /** How many minutes past a full hour it is served. */
  readonly pastHour: number;
}

export function clockOf(gathering: Pick<Gathering, "day" | "hour" | "timeZone">): PlanClock {
  const ready = readyAt(gathering);
  const at = (minute: number) => momentOfMinute(Math.round(minute), ready);
  const day = (minute: number) => dayOf(at(minute), gathering);
  const time = (minute: number) => clockTime(at(minute), gathering);
  return {
    time,
    day,
    dayName: (minute) => dayWords(day(minute)),
    stamp: (minute) => `${day(minute)}T${time(minute)}`,
    pastHour: Number(gathering.hour.slice(3)),
  };
}

/** "45 min", "7 h 05". */
export function lengthWords(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const rest = whole % 60;
  return rest === 0 ? `${Math.floor(whole / 60)} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, "0")}`;
}
