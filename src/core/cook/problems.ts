import { formatGrams } from "../units";
import { AFTER_THE_END, COOK_LIMITS, type CookEvent } from "./event";
import type { CookSession } from "./session";

/** Why an event cannot be; null where it can. In words for who stands at the stove. */
export function problemOf(event: CookEvent, session: CookSession): string | null {
  const { timer, grams, events, timers, steps } = COOK_LIMITS;
  if (session.events.length >= events) return "This batch holds as many events as one can. End it, and begin another.";
  if (session.startedAt === null && event.kind !== "started" && event.kind !== "ready" && event.kind !== "note")
    return "Nothing is cooking yet: start it first.";
  if (session.endedAt !== null && !AFTER_THE_END.includes(event.kind)) return "This batch is done. Take it up again first.";
  switch (event.kind) {
    case "timer started":
    case "timer longer":
      if (event.seconds < timer.least) return "A timer of nothing rings at once: give it at least a second.";
      if (event.seconds > timer.most) return "A timer runs for a day at most. For what takes longer, note when it is due.";
      return event.kind === "timer started" && session.timers.length >= timers
        ? `More than ${timers} timers at once are not told apart: stop one first.`
        : null;
    case "weighed":
      if (event.grams > grams) return `No kitchen scale weighs ${formatGrams(event.grams)} g. Was it grams?`;
      if (event.grams <= event.pan) return `That is not more than the pan alone (${formatGrams(event.pan)} g). Was the pan on the scale?`;
      return null;
    case "put in":
      return event.grams <= 0
        ? "Nothing went in: give it an amount."
        : event.grams > grams
          ? `${formatGrams(event.grams)} g is more than any pot here holds.`
          : null;
    case "ended":
      return event.grams !== null && event.grams <= 0 ? "It weighs something: leave it empty where it was not weighed." : null;
    case "done":
    case "skipped":
    case "went to":
      return session.steps.some(({ id }) => id === event.step) ? null : "This batch has no such step.";
    case "step added":
      if (event.text.trim() === "") return "A step says what to do.";
      return session.steps.length >= session.plan.steps.length + steps ? `More than ${steps} steps of its own is another recipe.` : null;
    case "taken back":
      return session.events.some(({ id }) => id === event.event) ? null : "What is to be taken back is not there.";
    case "started":
    case "ready":
    case "note":
    case "timer stopped":
    case "taken up again":
      return null;
  }
}
