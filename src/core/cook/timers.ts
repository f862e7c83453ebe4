import type { Role } from "../food";
import type { CookPlan } from "./plan";
import type { CookSession, CookStep, CookTimer } from "./session";

/**
 * When a timer rings.
 * @unit ms, by the clock
 * @range after it was started
 * @source the clock
 */
export const endsAt = ({ startedAt, seconds }: CookTimer): number => startedAt + 1000 * seconds;

/** What an alarm says to do: what its step looks for. */
export function alarmWords({ label, step }: Pick<CookTimer, "label" | "step">, { steps }: Pick<CookSession, "steps">): string {
  const planned = steps.find(({ id }) => id === step)?.planned;
  if (planned?.pressure && label.endsWith(COMING_UP)) return `${label}: it should be at pressure by now. Turn the flame down, and start the time at pressure.`;
  if (planned?.pressure && label.endsWith(AT_PRESSURE)) return `${label}: the time is up. Take it off the flame, and let the pressure fall.`;
  if (planned?.pressure && label.endsWith(RELEASING)) return `${label}: open it only when the valve has dropped; never by force.`;
  const cue = planned?.cue ?? planned?.cues[0]?.told[0]?.words[1];
  return cue ? `${label}: the time is up. Look: ${cue}.` : `${label}: the time is up.`;
}

/**
 * What is left of a timer.
 * @unit seconds
 * @range below 0 once it has run out; never more than it was set to, whatever the clock was set to
 * @source the clock
 */
export const secondsLeft = (timer: CookTimer, now: number): number => Math.min(timer.seconds, (endsAt(timer) - now) / 1000);

/** The timers that ran out between two moments, while nobody was there to hear: what was missed, first of all. */
export const missedBetween = ({ timers }: CookSession, from: number, to: number): readonly CookTimer[] =>
  timers.filter((timer) => endsAt(timer) > from && endsAt(timer) <= to).sort((a, b) => endsAt(a) - endsAt(b));

const COMING_UP = "coming up to pressure";
const AT_PRESSURE = "at pressure";
const RELEASING = "pressure falls";
/** Minutes in which the pressure of a cooker falls by itself: a rule of thumb. */
const RELEASE = 10;

/**
 * The timer that a step needs next: under pressure it comes up, is held, and falls, each by a timer of its own; all else has one.
 * `place` is the step's, from 1.
 */
export function nextTimer(session: Pick<CookSession, "events">, step: CookStep, place: number): { readonly label: string; readonly seconds: number } {
  const { planned } = step;
  const lots = planned?.lots ?? 1;
  const label = `Step ${place}${lots > 1 ? `, lot ${step.lotsDone + 1}` : ""}`;
  // Minutes are of all lots; each has a timer of its own.
  if (!planned?.pressure) return { label, seconds: Math.max(1, Math.round((60 * (planned?.minutes.usual || 5)) / lots)) };
  const back = new Set(session.events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  const begun = session.events.filter((event) => event.kind === "timer started" && event.step === step.id && !back.has(event.id)).length;
  const { comingUp, minutes } = planned.pressure;
  const phases = [
    [COMING_UP, comingUp],
    [AT_PRESSURE, minutes],
    [RELEASING, RELEASE],
  ] as const;
  const [words, usual] = phases[begun % phases.length] ?? phases[0];
  return { label: `${label}, ${words}`, seconds: Math.max(1, Math.round(60 * usual)) };
}

/** What settles and catches at the bottom. */
const CATCHES: readonly Role[] = ["body", "thickener", "binder", "setting"];
/** Minutes between stirs of what catches, and of what does not: rules of practice. */
const STIR = { catches: 2, loose: 4 } as const;
/** So long a prompt stands, seconds. */
const PROMPT = 20;

/**
 * When a step on the fire that is stirred now and then has to be stirred: every so many minutes from its beginning, by the clock.
 * Null of a step that is stirred all the time, or not at all, and of a bare syrup.
 */
export function stirring(
  { planned, began, state }: CookStep,
  plan: Pick<CookPlan, "lines">,
  now: number,
): { readonly every: number; readonly isDue: boolean } | null {
  if (!planned || state !== "now" || began === null || planned.attention !== "now and then" || planned.heat === null) return null;
  const inPot = plan.lines.filter(({ id }) => planned.pot.some(({ line }) => line === id));
  // A syrup that is stirred while it boils turns grainy.
  if (inPot.some(({ role }) => role === "sweetener") && inPot.every(({ role, food }) => role === "sweetener" || food === "water")) return null;
  const every = inPot.some(({ role }) => CATCHES.includes(role)) ? STIR.catches : STIR.loose;
  const since = (now - began) / 1000;
  return { every, isDue: since >= 60 * every && since % (60 * every) < PROMPT };
}
