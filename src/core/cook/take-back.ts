import { formatGrams } from "../units";
import type { CookEvent } from "./event";
import type { CookSession } from "./session";

/** The last event that can be taken back, and what taking it back does, in words; null where there is none. */
export function lastToTakeBack({ events, steps }: CookSession): { readonly event: string; readonly words: string } | null {
  const back = new Set(events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  const last = events.findLast((event) => event.kind !== "taken back" && event.kind !== "started" && !back.has(event.id));
  if (!last) return null;
  const textOf = (step: string) => steps.find(({ id }) => id === step)?.text.slice(0, 40) ?? "a step";
  return { event: last.id, words: `Take back: ${wordsOf(last, textOf)}` };
}

function wordsOf(event: CookEvent, textOf: (step: string) => string): string {
  switch (event.kind) {
    case "done":
      return `done, “${textOf(event.step)}”`;
    case "skipped":
      return `skipped, “${textOf(event.step)}”`;
    case "went to":
      return `gone to “${textOf(event.step)}”`;
    case "put in":
      return `${formatGrams(event.grams)} g ${event.name}`;
    case "weighed":
      return `weighed ${formatGrams(event.grams - event.pan)} g`;
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
