import type { PlanMinute } from "./task";

/** Time as it is drawn: hours in which somebody works are wide, others narrow. */
export interface PlanAxis {
  readonly from: PlanMinute;
  readonly to: PlanMinute;
  /** Along it, 0 to 1: straight in between. */
  readonly stops: readonly { readonly minute: PlanMinute; readonly at: number }[];
}

const HOUR = 60;
/** How wide an hour without work is beside one with. */
const IDLE = 0.16;

/**
 * An axis over spans of work. `clockMinute` is how many minutes past a full hour of the clock minute 0 is, so that its hours are those of the clock.
 */
export function axisOf(
  work: readonly { readonly start: PlanMinute; readonly end: PlanMinute }[],
  span: { readonly from: PlanMinute; readonly to: PlanMinute },
  clockMinute: number,
): PlanAxis {
  const floor = (minute: number) => Math.floor((minute + clockMinute) / HOUR) * HOUR - clockMinute;
  const from = floor(Math.min(span.from, ...work.map(({ start }) => start)));
  const to = Math.max(span.to, ...work.map(({ end }) => end));
  const borders: number[] = [];
  for (let at = from; at < to; at += HOUR) borders.push(at);
  borders.push(to);
  let along = 0;
  const raw = borders.map((minute, i) => {
    const before = borders[i - 1];
    if (before !== undefined) {
      const isWork = work.some(({ start, end }) => start < minute && end > before);
      along += ((minute - before) / HOUR) * (isWork ? 1 : IDLE);
    }
    return { minute, at: along };
  });
  return { from, to, stops: raw.map(({ minute, at }) => ({ minute, at: along > 0 ? at / along : 0 })) };
}

/**
 * Where a minute is on an axis.
 * @unit share of its length
 * @range 0 to 1
 * @source straight lines between its stops
 */
export function placeOn({ stops }: PlanAxis, minute: PlanMinute): number {
  const after = stops.findIndex((stop) => stop.minute >= minute);
  const [one, other] = [stops[after - 1], stops[after]];
  if (after < 0) return 1;
  if (!one || !other) return 0;
  return one.at + ((minute - one.minute) / (other.minute - one.minute)) * (other.at - one.at);
}
