import { applied } from "./apply";
import type { CookEvent } from "./event";
import type { CookPlan } from "./plan";
import { newSession, type CookAction, type CookSession } from "./session";
import { alarmWords, endsAt } from "./timers";

/** The events that were not taken back. */
export function standingEvents(events: readonly CookEvent[]): readonly CookEvent[] {
  const back = new Set(events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  return events.filter((event) => event.kind !== "taken back" && !back.has(event.id));
}

/** The session that events come to. */
export const sessionOf = (plan: CookPlan, events: readonly CookEvent[]): CookSession => ({
  ...standingEvents(events).reduce(applied, newSession(plan)),
  events,
});

/** Gives the session that events come to, as they grow: what was given before is gone on from where its events are the first of those. */
export function growingSession(plan: CookPlan): (events: readonly CookEvent[]) => CookSession {
  let last = sessionOf(plan, []);
  return (events) => (last = sessionWith(last, events));
}

function sessionWith(before: CookSession, events: readonly CookEvent[]): CookSession {
  const more = events.slice(before.events.length);
  const isMore = before.events.length <= events.length && before.events.every(({ id }, i) => id === events[i]?.id);
  const back = new Set(before.events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  // What takes back, or was taken back before it came, changes what was before.
  const isPlain = more.every(({ id, kind }) => kind !== "taken back" && !back.has(id));
  return isMore && isPlain ? { ...more.reduce(applied, before), events } : sessionOf(before.plan, events);
}

/**
 * A session after an event, and what has to be done about it. An event that is there already, that holds nothing new, or that
 * names what is not there changes nothing: two devices that press at once do a thing once.
 */
export function transition(session: CookSession, event: CookEvent): readonly [CookSession, readonly CookAction[]] {
  if (session.events.some(({ id }) => id === event.id)) return [session, []];
  const after =
    event.kind === "taken back" ? sessionOf(session.plan, [...session.events, event]) : { ...applied(session, event), events: [...session.events, event] };
  return [after, actionsOf(session, after)];
}

/** Timers that came and went, and the step that is on now. */
function actionsOf(before: CookSession, after: CookSession): readonly CookAction[] {
  const was = new Map(before.timers.map((timer) => [timer.id, timer] as const));
  const is = new Set(after.timers.map(({ id }) => id));
  const step = after.steps.find(({ id }) => id === after.now);
  return [
    ...after.timers.flatMap((timer): CookAction[] => {
      const known = was.get(timer.id);
      if (known?.seconds === timer.seconds && known.startedAt === timer.startedAt) return [];
      return [{ kind: "ring at", timer: timer.id, at: endsAt(timer), words: alarmWords(timer, after) }];
    }),
    ...before.timers.flatMap(({ id }): CookAction[] => (is.has(id) ? [] : [{ kind: "do not ring", timer: id }])),
    ...(after.now !== before.now && step ? [{ kind: "say" as const, words: step.text }] : []),
    ...(after.endedAt !== null && before.endedAt === null ? [{ kind: "say" as const, words: "Done." }] : []),
  ];
}
