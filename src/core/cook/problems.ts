import { formatGrams } from "../units";
import { AFTER_THE_END, COOK_LIMITS, type CookEvent } from "./event";
import type { CookSession } from "./session";

/** What can be told of a batch that is not begun. */
const BEFORE_THE_START: readonly CookEvent["kind"][] = ["started", "ready", "note", "set up", "taken back"];

/** Why an event cannot be; null where it can. In words for who stands at the stove. */
export function problemOf(event: CookEvent, session: CookSession): string | null {
  const { timer, grams, events, timers, steps, centimetres, brix, celsius } = COOK_LIMITS;
  const lineOf = (id: string) => session.plan.lines.find((line) => line.id === id);
  if (session.events.length >= events) return "This batch holds as many events as one can. End it, and begin another.";
  if (session.startedAt === null && event.kind !== "started" && !BEFORE_THE_START.includes(event.kind)) return "Nothing is cooking yet: start it first.";
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
      if (event.line !== null && !lineOf(event.line)) return NO_LINE;
      return event.grams <= 0
        ? "Nothing went in: give it an amount."
        : event.grams > grams
          ? `${formatGrams(event.grams)} g is more than any pot here holds.`
          : null;
    case "depth":
      if (event.centimetres <= 0 || event.diameter <= 0) return "How deep it stands, and how wide the pan is: both in cm, above 0.";
      return event.centimetres > centimetres || event.diameter > centimetres ? `No pan here is ${centimetres} cm deep or wide. Was it centimetres?` : null;
    case "held back": {
      const line = lineOf(event.line);
      if (!line) return NO_LINE;
      const all = session.amounts.get(event.line) ?? line.grams;
      return event.grams <= 0 || event.grams > all + 0.001 ? `Between 1 g and all of it (${formatGrams(all)} g) can wait.` : null;
    }
    case "enough":
      return session.held.has(event.line) ? null : "Nothing of it was held back.";
    case "amount set":
      if (!lineOf(event.line)) return NO_LINE;
      return event.grams > grams ? `${formatGrams(event.grams)} g is more than any pot here holds.` : null;
    case "fruit tasted": {
      if (!lineOf(event.line)) return NO_LINE;
      const { sweetness } = event;
      return sweetness.by === "refractometer" && (sweetness.brix < brix.least || sweetness.brix > brix.most)
        ? `A fruit reads between ${brix.least} and ${brix.most} °Brix. Was the glass clean, and set to water?`
        : null;
    }
    case "stop at":
      return event.grams !== null && (event.grams <= 0 || event.grams > grams) ? "To what it is cooked down: g without the pan, above 0." : null;
    case "set up":
      return event.setUp.pan && (event.setUp.pan.diameter <= 0 || event.setUp.pan.diameter > centimetres)
        ? `A pan is between 1 and ${centimetres} cm across.`
        : null;
    case "ended":
      return event.grams !== null && event.grams <= 0 ? "It weighs something: leave it empty where it was not weighed." : null;
    case "done":
    case "skipped":
    case "went to":
      return session.steps.some(({ id }) => id === event.step) ? null : "This batch has no such step.";
    case "lot done":
      return session.steps.some(({ id, planned }) => id === event.step && (planned?.lots ?? 1) > 1) ? null : "This step is done in one.";
    case "goes on": {
      const step = session.steps.find(({ id }) => id === event.step);
      return step === undefined ? "This batch has no such step." : step.state === "done" ? "That step is done already." : null;
    }
    case "step added":
      if (event.text.trim() === "") return "A step says what to do.";
      return session.steps.length >= session.plan.steps.length + steps ? `More than ${steps} steps of its own is another recipe.` : null;
    case "taken back":
      return session.events.some(({ id }) => id === event.event) ? null : "What is to be taken back is not there.";
    case "temperature":
      return event.celsius < celsius.least || event.celsius > celsius.most
        ? `Between ${celsius.least} and ${celsius.most} °C. Was the probe in it, and set to °C?`
        : null;
    case "set aside":
      return event.name.trim() === ""
        ? "Say for whom it is."
        : event.grams !== null && (event.grams <= 0 || event.grams > grams)
          ? "A portion weighs something: leave it empty where it was not weighed."
          : null;
    case "left over": {
      if (session.endedAt === null) return "It is not done yet: end it first.";
      if (event.grams <= 0) return "Nothing is left over: give it an amount.";
      // How much pulp there is nobody knows before it is weighed.
      if (event.what !== undefined) return null;
      const all = session.got ?? session.plan.grams;
      const before = session.leftOver.reduce((sum, each) => sum + (each.what === undefined ? each.grams : 0), 0);
      // What was not weighed is as much as that by plan only.
      const most = (session.got === null ? 2 : MORE_THAN_ALL) * all - before;
      return event.grams > most
        ? `${formatGrams(Math.round(all))} g came of it${before > 0 ? `, and ${formatGrams(before)} g of that is kept` : ""}: ${formatGrams(event.grams)} g cannot be left.`
        : null;
    }
    case "turned out":
      return event.body === null && !event.holds && event.off.trim() === "" ? "Say how thick it is, how it holds, or what was off." : null;
    case "heat":
    case "stock":
    case "started":
    case "ready":
    case "note":
    case "timer stopped":
    case "taken up again":
      return null;
  }
}

/** A scale is not that exact, and a bowl is weighed with a spoon in it. */
const MORE_THAN_ALL = 1.03;
const NO_LINE = "This batch has no such line.";
