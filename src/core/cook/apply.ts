import { AFTER_THE_END, type CookEvent } from "./event";
import { scaleSd } from "./forecast";
import type { CookSession, CookStep } from "./session";

const waiting = (step: CookStep): CookStep => (step.state === "now" ? { ...step, state: "to come" } : step);

/** A session after an event that is not taken back. */
export function applied(session: CookSession, event: CookEvent): CookSession {
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
    case "lot done": {
      const steps = session.steps.map((each) =>
        each.id === event.step && each.lotsDone + 1 < (each.planned?.lots ?? 1) ? { ...each, lotsDone: each.lotsDone + 1 } : each,
      );
      return { ...changed(session, event.at), steps };
    }
    case "goes on":
      return goesOn(session, event);
    case "step added": {
      if (session.steps.some(({ id }) => id === event.step)) return session;
      const at = event.after === null ? session.steps.length : session.steps.findIndex(({ id }) => id === event.after) + 1 || session.steps.length;
      const step: CookStep = { id: event.step, text: event.text, planned: null, state: "to come", began: null, took: null, lotsDone: 0, who: null };
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
        ...changed(session, event.at),
        putIn: [
          ...session.putIn,
          { event: event.id, at: event.at, line: event.line, food: event.food, name: event.name, grams: event.grams, word: event.word },
        ],
      };
    case "set up":
      return { ...changed(session, event.at), setUp: event.setUp, ...(event.setUp.pan?.grams ? { pan: event.setUp.pan.grams } : {}) };
    case "heat":
      return { ...changed(session, event.at), heat: event.heat };
    case "held back":
      return { ...session, held: new Map([...session.held, [event.line, { grams: event.grams, isClosed: false }]]) };
    case "enough": {
      const { grams = 0 } = session.held.get(event.line) ?? {};
      return { ...session, held: new Map([...session.held, [event.line, { grams, isClosed: true }]]) };
    }
    case "amount set":
      return { ...session, amounts: new Map([...session.amounts, [event.line, event.grams]]) };
    case "fruit tasted":
      return { ...session, fruits: new Map([...session.fruits, [event.line, event.sweetness]]) };
    case "stop at":
      return { ...session, stopAt: event.grams };
    case "weighed": {
      const grams = event.grams - event.pan;
      return { ...session, pan: event.pan, weighings: [...session.weighings, { at: event.at, grams, sd: scaleSd(grams), by: "scale" }] };
    }
    case "depth":
      return { ...session, weighings: [...session.weighings, { at: event.at, grams: event.grams, sd: event.sd, by: "stick" }] };
    case "temperature":
      return { ...session, temperatures: [...session.temperatures, { at: event.at, celsius: event.celsius, place: event.place ?? null }] };
    case "set aside": {
      const { id, name, grams, day, serve, sugar } = event;
      const served = { ...(day === undefined ? {} : { day }), ...(serve === undefined ? {} : { serve }), ...(sugar === undefined ? {} : { sugar }) };
      return { ...session, setAside: [...session.setAside, { event: id, name, grams, ...served }] };
    }
    case "stock":
      return { ...session, isStockTaken: event.isTaken };
    case "left over": {
      const { id, at, grams, place, useBy, what } = event;
      return { ...session, leftOver: [...session.leftOver, { event: id, at, grams, place, useBy, ...(what === undefined ? {} : { what }) }] };
    }
    case "turned out":
      return { ...session, turnedOut: new Map([...session.turnedOut, [event.when, { body: event.body, off: event.off, holds: event.holds ?? null }]]) };
    case "ended":
      return {
        ...session,
        endedAt: event.at,
        got: event.grams,
        timers: [],
        now: null,
        steps: session.steps.map((step) => (step.state === "going" ? { ...step, state: "to come", who: null } : waiting(step))),
      };
    case "taken up again":
      return session.endedAt === null ? session : goingOn({ ...session, endedAt: null, got: null, leftOver: [] }, event.at);
    case "taken back":
      return session;
  }
}

/** Something else is in the pot, or under it: what it weighed before tells nothing of how it boils away now. */
const changed = (session: CookSession, at: number): CookSession => ({ ...session, changedAt: at, weighedBefore: session.weighings.length });

/** Where no step is on, the first that waits is. */
function goingOn(session: CookSession, at: number): CookSession {
  if (session.now !== null || session.endedAt !== null || session.startedAt === null) return session;
  const next = session.steps.find(({ state }) => state === "to come");
  return next ? begun(session, next.id, at) : session;
}

/** A step goes on beside what comes next. */
function goesOn(session: CookSession, { step, who, at }: Extract<CookEvent, { readonly kind: "goes on" }>): CookSession {
  const there = session.steps.find(({ id }) => id === step);
  if (!there || there.state === "done" || there.state === "skipped") return session;
  const steps = session.steps.map((each): CookStep => (each.id === step ? { ...each, state: "going", began: each.began ?? at, who } : each));
  if (session.now !== step) return { ...session, steps };
  const from = steps.findIndex(({ id }) => id === step);
  const next = steps.slice(from + 1).find(({ state }) => state === "to come") ?? steps.find(({ state }) => state === "to come");
  return next ? begun({ ...session, steps, now: null }, next.id, at) : { ...session, steps, now: null };
}

/** Goes to a step: the one that was on waits, unless it is done. */
const begun = (session: CookSession, step: string, at: number): CookSession => ({
  ...changed(session, at),
  now: step,
  // Another step has its own flame, and things go in at it.
  heat: session.now === step ? session.heat : null,
  stopAt: session.now === step ? session.stopAt : null,
  steps: session.steps.map((each): CookStep => {
    // One that went on beside was begun before.
    if (each.id === step) return { ...each, state: "now", began: each.state === "going" ? each.began : at, who: null };
    return waiting(each);
  }),
});

/** A step that is done or skipped, once; then the next that waits. */
function finished(session: CookSession, { kind, step, at }: Extract<CookEvent, { readonly kind: "done" | "skipped" }>): CookSession {
  const there = session.steps.find(({ id }) => id === step);
  if (!there || there.state === kind) return session;
  const minutes = there.began === null ? 0 : Math.max(0, (at - there.began) / 60_000);
  const steps = session.steps.map((each): CookStep =>
    each.id === step ? { ...each, state: kind, began: null, who: null, lotsDone: 0, took: kind === "done" ? (each.took ?? 0) + minutes : each.took } : each,
  );
  const timers = session.timers.filter((timer) => timer.step !== step);
  const after = { ...session, steps, timers };
  if (session.now !== step) return after;
  // What comes behind it first; what was left out before it is not gone to by itself.
  const from = steps.findIndex(({ id }) => id === step);
  const next = steps.slice(from + 1).find(({ state }) => state === "to come");
  return next ? begun({ ...after, now: null }, next.id, at) : { ...after, now: null };
}
