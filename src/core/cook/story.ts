import { capital, formatGrams, lowerFirst } from "../units";
import type { CookEvent, FruitSweetness, StoveSetUp } from "./event";
import { dayWords } from "../calendar";
import { PLACE_WORDS } from "../stock";
import { nameOf } from "./plan";
import type { CookSession } from "./session";

/** One sentence of what happened at the stove. */
export interface StorySentence {
  readonly at: number;
  readonly words: string;
  /** Which event it tells. */
  readonly event: CookEvent;
}

/** The events of a batch as sentences; what was taken back did not happen. */
export function storyOf(session: CookSession): readonly StorySentence[] {
  const { events, plan, steps } = session;
  const back = new Set(events.flatMap((event) => (event.kind === "taken back" ? [event.event] : [])));
  const textOf = (step: string) => steps.find(({ id }) => id === step)?.text ?? "a step";
  const tookOf = (step: string) => {
    const took = steps.find(({ id }) => id === step)?.took ?? null;
    return took === null || took < 1 ? "" : ` It took ${Math.round(took)} min.`;
  };
  return events.flatMap((event): StorySentence[] => {
    if (back.has(event.id)) return [];
    const say = (words: string): StorySentence[] => [{ at: event.at, words, event }];
    switch (event.kind) {
      case "started":
        return say(`${plan.title}${plan.label === null ? ", as handed down" : `, “${plan.label}”`}, was begun.`);
      case "done":
        return say(`Done: ${textOf(event.step)}${tookOf(event.step)}`);
      case "skipped":
        return say(`Left out: ${textOf(event.step)}`);
      case "went to":
        return say(`Gone to: ${textOf(event.step)}`);
      case "lot done":
        return say(`A lot was done: ${textOf(event.step)}`);
      case "goes on":
        return say(`${event.who === null ? "Left to go on by itself" : `In the hands of ${event.who}`}: ${textOf(event.step)}`);
      case "step added":
        return say(`Added: ${event.text}`);
      case "note":
        return say(capital(event.text));
      case "put in":
        return say(`${formatGrams(event.grams)} g ${event.name} went in${event.word === "" ? "" : `: ${event.word}`}.`);
      case "weighed":
        return say(`The pot held ${formatGrams(event.grams - event.pan)} g.`);
      case "depth":
        return say(`It stood ${event.centimetres} cm deep, about ${formatGrams(event.grams)} g.`);
      case "set up":
        return say(setUpWords(event.setUp));
      case "heat":
        return say(`The flame: ${event.heat}.`);
      case "held back":
        return say(`${formatGrams(event.grams)} g ${lowerFirst(nameOf(plan, event.line))} was held back.`);
      case "enough":
        return say(`Enough ${lowerFirst(nameOf(plan, event.line))}.`);
      case "amount set":
        return say(`${nameOf(plan, event.line)}: ${formatGrams(event.grams)} g is meant.`);
      case "fruit tasted":
        return say(`${nameOf(plan, event.line)}: ${fruitWords(event.sweetness)}.`);
      case "stop at":
        return say(event.grams === null ? "It is cooked down as worked out." : `It is to be cooked down to ${formatGrams(event.grams)} g.`);
      case "temperature":
        return say(`It was at ${Math.round(event.celsius)} °C${event.place === undefined ? "" : `, ${event.place}`}.`);
      case "set aside":
        return say(
          `Set aside for ${event.name}${event.grams === null ? "" : `: ${formatGrams(event.grams)} g`}${event.sugar ? `, with ${formatGrams(event.sugar)} g sugar` : ""}${event.serve ? `, ${event.serve}` : ""}${event.day ? `, for ${dayWords(event.day)}` : ""}.`,
        );
      case "stock":
        return say(event.isTaken ? "What went in was taken off the stock." : "The stock was left as it was.");
      case "left over":
        return say(
          `${formatGrams(event.grams)} g ${event.what === undefined ? "" : `of ${lowerFirst(event.what)} `}was left over: ${PLACE_WORDS[event.place]}${event.useBy === null ? "" : `, to be eaten by ${dayWords(event.useBy)}`}.`,
        );
      case "turned out":
        return say(
          `${capital(event.when)}: ${[event.body === null ? null : `body ${event.body.toFixed(1)} of 10`, event.holds, event.off.trim() || null].filter(Boolean).join("; ")}.`,
        );
      case "ended":
        return say(
          event.grams === null ? "It was done; it was not weighed." : `It was done: ${formatGrams(event.grams)} g, ${formatGrams(plan.grams)} g by plan.`,
        );
      case "taken up again":
        return say("It was taken up again.");
      case "timer started":
        return say(`A timer: ${event.label}.`);
      case "ready":
      case "timer longer":
      case "timer stopped":
      case "taken back":
        return [];
    }
  });
}

/** How sweet a fruit was found, in words. */
export const fruitWords = (sweetness: FruitSweetness): string =>
  sweetness.by === "refractometer" ? `${sweetness.brix} °Brix` : sweetness.is === "usual" ? "as sweet as usual" : sweetness.is;

function setUpWords({ pan, burner, tasting }: StoveSetUp): string {
  const on = [pan && `in ${pan.name}, ${pan.diameter} cm`, burner && `on ${burner.name}`].filter(Boolean).join(", ");
  const first = on === "" ? "No pan was named" : `It is cooked ${on}`;
  return `${first}${tasting ? "" : "; nobody tastes it"}.`;
}
