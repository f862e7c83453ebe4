import type { Constants, Food, Handled } from "../food";
import { handlingKindOf, type HandlingKind } from "./kinds";
import type { Handling, HandlingStep, HandlingTables } from "./step";

type DoneConstants = Pick<Constants, "gelatinisationMinutes">;
/** Grain is done after so many of its time constants; egg after so many minutes of a simmer. */
const DONE = 2.5;
const EGG_MINUTES = 8;
/** What is not eaten raw. */
const EATEN_COOKED: readonly HandlingKind[] = ["grain", "grits", "strands", "flakes", "flour", "starch", "pearls", "pulse"];
/** Whole and split pulses that no time constant is known of. */
const PULSE_MINUTES = 45;

/**
 * Minutes of a simmer until a raw food is done; 0 where it needs none, or nothing is known to need any.
 * @unit minutes
 * @range 0 or more
 * @source time constants of gelatinisation of the constants; rules of thumb for egg and pulses
 */
export function minutesToDone(food: Food, { gelatinisationMinutes: { value } }: DoneConstants): number {
  const { thickening, nature, handled } = food;
  if (handled) return handled.state === "raw" ? handled.minutes : 0;
  if (thickening.egg) return nature?.processing === "cooked" ? 0 : EGG_MINUTES;
  const kind = handlingKindOf(food);
  if (kind === null || !EATEN_COOKED.includes(kind)) return 0;
  const { starch } = thickening;
  const byStarch = starch ? DONE * (starch.tau ?? (starch.form === "pearl" ? value.pearl : value[starch.grain]) ?? 0) : 0;
  return kind === "pulse" ? Math.max(byStarch, PULSE_MINUTES) : byStarch;
}

/** How a food is handled: by what is known of it, else as its kind is; nothing where nobody has said what it is. `simmers`: whether there is a pot that does. */
export function handlingOf(food: Food, { foods, kinds, withoutPot }: HandlingTables, simmers: boolean, constants: DoneConstants): Handling {
  const own = foods.get(food.id) ?? {};
  const kind = handlingKindOf(food);
  const dry = simmers || kind === null ? undefined : withoutPot[kind];
  if (dry && (own.add ?? (kind && kinds[kind]))?.goesIn !== "with the liquid") return { ...own, add: lasting(dry, minutesToDone(food, constants)) };
  if (!own.add && kind === null && food.handled) return { ...own, add: asAnswered(food.handled) };
  const add = own.add ?? (kind === null ? undefined : kinds[kind]);
  return add ? { ...own, add: lasting(add, minutesToDone(food, constants)) } : own;
}

/** Whether nobody has said how a food is handled: it is asked about, not guessed. */
export const isHandlingAsked = (food: Food, { foods }: HandlingTables): boolean =>
  foods.get(food.id)?.add === undefined && handlingKindOf(food) === null && food.handled === undefined;

/** How a food goes in by what its maker answered of it. */
function asAnswered({ state, texture, minutes }: Handled): HandlingStep {
  if (state === "ready" || minutes <= 0)
    return {
      operations: ["mix"],
      minutes: { shortest: 1, usual: 2, longest: 3 },
      attention: "hands on",
      goesIn: "off the heat",
      words: "Off the heat stir in {food}.",
    };
  const usual = Math.round(minutes);
  return {
    operations: ["simmer"],
    minutes: { shortest: Math.round(usual * 0.85), usual, longest: Math.round(usual * 1.25) },
    attention: "now and then",
    heat: "simmer",
    goesIn: texture === "wet" ? "with the liquid" : "once it simmers",
    words: `${texture === "wet" ? "Pour in {food} and bring it to a simmer" : "Stir {food} into the simmering pot"}; simmer for ${usual} ${usual === 1 ? "minute" : "minutes"}, stirring now and then.`,
  };
}

/** A step that takes as long as the food needs. */
function lasting(step: HandlingStep, needed: number): HandlingStep {
  if (!step.words.includes("{minutes}")) return step;
  const usual = needed > 0 ? Math.max(1, Math.round(needed)) : step.minutes.usual;
  const times = usual / step.minutes.usual;
  return {
    ...step,
    minutes: { shortest: Math.round(step.minutes.shortest * times), usual, longest: Math.round(step.minutes.longest * times) },
    words: step.words.replaceAll("{minutes}", String(usual)),
  };
}
