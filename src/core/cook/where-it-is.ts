import { endsAt } from "./timers";
import type { CookSession } from "./session";

/** Where a batch is that is on the stove: its step, what goes on beside, until when timers run; each a few words, moments by `clock`. */
export function whereItIs(session: CookSession, clock: (at: number) => string, now: number): readonly string[] {
  const { steps, timers } = session;
  if (session.startedAt === null) return ["not begun"];
  const at = steps.findIndex(({ id }) => id === session.now);
  const on = steps[at];
  const going = steps.filter(({ state }) => state === "going");
  return [
    on ? `step ${at + 1} of ${steps.length}: ${on.text}` : going.length > 0 ? "all but what goes on is done" : "all steps are done",
    ...going.map(({ text, who }) => `${who === null ? "going on by itself" : `in the hands of ${who}`}: ${text}`),
    ...timers.map((timer) => `${timer.label}: ${endsAt(timer) > now ? `until ${clock(endsAt(timer))}` : "the time is up"}`),
  ];
}
