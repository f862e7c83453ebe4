import { AFTER_THE_END, type CookEvent } from "./event";
import type { CookPlan, PlannedStep } from "./plan";

export type StepState = "to come" | "now" | "done" | "skipped";

/** A step of the session: the plan's, or one that was added at the stove. */
export interface CookStep {
  readonly id: string;
  readonly text: string;
  /** Null for one that was added. */
  readonly planned: PlannedStep | null;
  readonly state: StepState;
  /** When it was begun last, ms; null where it was not. */
  readonly began: number | null;
  /** How long it took, minutes, all goes together; null where it is not done. */
  readonly took: number | null;
}

/** A timer that runs by the clock: what is left of it is told from the time, not by counting. */
export interface CookTimer {
  readonly id: string;
  readonly step: string | null;
  readonly label: string;
  readonly startedAt: number;
  readonly seconds: number;
}

interface PutIn {
  readonly event: string;
  readonly at: number;
  readonly food: string;
  readonly name: string;
  readonly grams: number;
  readonly word: string;
}

/** A batch on the stove: what its events say, one after the other. */
export interface CookSession {
  readonly plan: CookPlan;
  readonly events: readonly CookEvent[];
  readonly steps: readonly CookStep[];
  /** The step that is on; null where all are done. */
  readonly now: string | null;
  readonly ready: ReadonlySet<string>;
  readonly timers: readonly CookTimer[];
  readonly putIn: readonly PutIn[];
  /** What the pot weighed without the pan, g, in the order in which it was weighed. */
  readonly weighings: readonly { readonly event: string; readonly at: number; readonly grams: number }[];
  /** What the pan weighed last, g; 0 where nobody said. */
  readonly pan: number;
  readonly notes: readonly { readonly event: string; readonly at: number; readonly text: string; readonly step: string | null }[];
  readonly startedAt: number | null;
  readonly endedAt: number | null;
  /** What came of it, g; null where it was not weighed, or is not done. */
  readonly got: number | null;
}

/** What has to be done outside: decided here, executed elsewhere. */
export type CookAction =
  | { readonly kind: "ring at"; readonly timer: string; readonly at: number; readonly words: string }
  | { readonly kind: "do not ring"; readonly timer: string }
  | { readonly kind: "say"; readonly words: string };

export const newSession = (plan: CookPlan): CookSession => ({
  plan,
  events: [],
  steps: plan.steps.map((step) => ({ id: step.id, text: step.text, planned: step, state: "to come", began: null, took: null })),
  now: null,
  ready: new Set(),
  timers: [],
  putIn: [],
  weighings: [],
  pan: 0,
  notes: [],
  startedAt: null,
  endedAt: null,
  got: null,
});

/** The session that events come to. */
export const sessionOf = (plan: CookPlan, events: readonly CookEvent[]): CookSession => {
  const back = new Set(events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  const told = events.reduce((session, event) => (back.has(event.id) || event.kind === "taken back" ? session : applied(session, event)), newSession(plan));
  return { ...told, events };
};

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

const endsAt = ({ startedAt, seconds }: CookTimer): number => startedAt + 1000 * seconds;

/** What an alarm says to do: what its step looks for. */
export function alarmWords({ label, step }: Pick<CookTimer, "label" | "step">, { steps }: Pick<CookSession, "steps">): string {
  const planned = steps.find(({ id }) => id === step)?.planned;
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

const waiting = (step: CookStep): CookStep => (step.state === "now" ? { ...step, state: "to come" } : step);

function applied(session: CookSession, event: CookEvent): CookSession {
  if (session.endedAt !== null && !AFTER_THE_END.includes(event.kind)) return session;
  switch (event.kind) {
    case "started":
      return session.startedAt === null ? goingOn({ ...session, startedAt: event.at }, event.at) : session;
    case "ready": {
      const ready = new Set(session.ready);
      if (event.isReady) ready.add(event.food);
      else ready.delete(event.food);
      return { ...session, ready };
    }
    case "done":
    case "skipped":
      return finished(session, event);
    case "went to":
      return session.steps.some(({ id }) => id === event.step) ? begun(session, event.step, event.at) : session;
    case "step added": {
      if (session.steps.some(({ id }) => id === event.step)) return session;
      const at = event.after === null ? session.steps.length : session.steps.findIndex(({ id }) => id === event.after) + 1 || session.steps.length;
      const step: CookStep = { id: event.step, text: event.text, planned: null, state: "to come", began: null, took: null };
      return goingOn({ ...session, steps: [...session.steps.slice(0, at), step, ...session.steps.slice(at)] }, event.at);
    }
    case "note":
      return { ...session, notes: [...session.notes, { event: event.id, at: event.at, text: event.text, step: event.step }] };
    case "timer started":
      return session.timers.some(({ id }) => id === event.timer)
        ? session
        : { ...session, timers: [...session.timers, { id: event.timer, step: event.step, label: event.label, startedAt: event.at, seconds: event.seconds }] };
    case "timer longer":
      return {
        ...session,
        timers: session.timers.map((timer) =>
          // One that has run out runs on from now.
          timer.id === event.timer ? { ...timer, seconds: Math.max(timer.seconds, (event.at - timer.startedAt) / 1000) + event.seconds } : timer,
        ),
      };
    case "timer stopped":
      return { ...session, timers: session.timers.filter(({ id }) => id !== event.timer) };
    case "put in":
      return {
        ...session,
        putIn: [...session.putIn, { event: event.id, at: event.at, food: event.food, name: event.name, grams: event.grams, word: event.word }],
      };
    case "weighed":
      return { ...session, pan: event.pan, weighings: [...session.weighings, { event: event.id, at: event.at, grams: event.grams - event.pan }] };
    case "ended":
      return { ...session, endedAt: event.at, got: event.grams, timers: [], now: null, steps: session.steps.map(waiting) };
    case "taken up again":
      return session.endedAt === null ? session : goingOn({ ...session, endedAt: null, got: null }, event.at);
    case "taken back":
      return session;
  }
}

/** Where no step is on, the first that waits is. */
function goingOn(session: CookSession, at: number): CookSession {
  if (session.now !== null || session.endedAt !== null || session.startedAt === null) return session;
  const next = session.steps.find(({ state }) => state === "to come");
  return next ? begun(session, next.id, at) : session;
}

/** Goes to a step: the one that was on waits, unless it is done. */
const begun = (session: CookSession, step: string, at: number): CookSession => ({
  ...session,
  now: step,
  steps: session.steps.map((each): CookStep => {
    if (each.id === step) return { ...each, state: "now", began: at };
    return waiting(each);
  }),
});

/** A step that is done or skipped, once; then the next that waits. */
function finished(session: CookSession, { kind, step, at }: Extract<CookEvent, { readonly kind: "done" | "skipped" }>): CookSession {
  const there = session.steps.find(({ id }) => id === step);
  if (!there || there.state === kind) return session;
  const minutes = there.began === null ? 0 : Math.max(0, (at - there.began) / 60_000);
  const steps = session.steps.map((each): CookStep =>
    each.id === step ? { ...each, state: kind, began: null, took: kind === "done" ? (each.took ?? 0) + minutes : each.took } : each,
  );
  const timers = session.timers.filter((timer) => timer.step !== step);
  const after = { ...session, steps, timers };
  if (session.now !== step) return after;
  // What comes behind it first; what was left out before it is not gone to by itself.
  const from = steps.findIndex(({ id }) => id === step);
  const next = steps.slice(from + 1).find(({ state }) => state === "to come");
  return next ? begun({ ...after, now: null }, next.id, at) : { ...after, now: null };
}
