import { formatGrams, lowerFirst } from "../units";
import type { CookEvent } from "./event";
import { nameOf } from "./plan";
import type { CookSession } from "./session";

/** The last event that can be taken back, and what taking it back does, in words; null where there is none. */
export function lastToTakeBack({ events, steps, plan }: CookSession): { readonly event: string; readonly words: string } | null {
  const back = new Set(events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  const last = events.findLast((event) => event.kind !== "taken back" && event.kind !== "started" && !back.has(event.id));
  if (!last) return null;
  const textOf = (step: string) => steps.find(({ id }) => id === step)?.text.slice(0, 40) ?? "a step";
  return { event: last.id, words: `Take back: ${wordsOf(last, textOf, (line) => lowerFirst(nameOf(plan, line)))}` };
}

function wordsOf(event: CookEvent, textOf: (step: string) => string, name: (line: string) => string): string {
  switch (event.kind) {
    case "done":
      return `done, “${textOf(event.step)}”`;
    case "skipped":
      return `skipped, “${textOf(event.step)}”`;
    case "went to":
      return `gone to “${textOf(event.step)}”`;
    case "lot done":
      return `a lot, “${textOf(event.step)}”`;
    case "goes on":
      return `left going, “${textOf(event.step)}”`;
    case "put in":
      return `${formatGrams(event.grams)} g ${event.name}`;
    case "weighed":
      return `weighed ${formatGrams(event.grams - event.pan)} g`;
    case "depth":
      return `${event.centimetres} cm deep`;
    case "set up":
      return "what it is cooked in";
    case "heat":
      return `the flame, ${event.heat}`;
    case "held back":
      return `held back, ${formatGrams(event.grams)} g ${name(event.line)}`;
    case "enough":
      return `enough ${name(event.line)}`;
    case "amount set":
      return `${formatGrams(event.grams)} g ${name(event.line)} is meant`;
    case "fruit tasted":
      return `how sweet the ${name(event.line)} is`;
    case "stop at":
      return "to what it is cooked down";
    case "temperature":
      return `${Math.round(event.celsius)} °C`;
    case "set aside":
      return `set aside for ${event.name}`;
    case "stock":
      return event.isTaken ? "taken off the stock" : "the stock as it was";
    case "left over":
      return `left over, ${formatGrams(event.grams)} g`;
    case "turned out":
      return `how it turned out ${event.when}`;
    case "note":
      return "a note";
    case "step added":
      return `a step, “${event.text.slice(0, 40)}”`;
    case "timer started":
      return `a timer, ${event.label}`;
    case "timer longer":
      return "more time";
    case "timer stopped":
      return "a timer stopped";
    case "ready":
      return event.isReady ? "got ready" : "not ready";
    case "ended":
      return "the end";
    case "taken up again":
      return "taken up again";
    case "started":
    case "taken back":
      return event.kind;
  }
}
