import type { EvaluationInput, Figures, PropertyId } from "../evaluate";
import { bodyHolds, isEatenFrozen } from "../evaluate";
import type { Constants, ServingTemperature } from "../food";

/** What goes wrong in a pot. */
export const FAULTS = [
  "too thin",
  "too thick",
  "lumpy",
  "split",
  "not sweet enough",
  "too sweet",
  "crumbles",
  "greasy",
  "too soft to slice",
  "gritty",
  "scorched",
  "bitter caramel",
  "raw taste",
  "bland",
] as const;
export type Fault = (typeof FAULTS)[number];

/** How a fault shows in the figures: below or above what was meant. */
interface Shows {
  readonly property: PropertyId;
  readonly side: "below" | "above";
}

/** How it is eaten, and whether it sets only as it cools. */
interface Served {
  readonly serve: ServingTemperature;
  readonly setsCold: boolean;
}

/** The figure that a fault is of, where one tells it. */
function showsIn(fault: Fault, { serve, setsCold }: Served): Shows | null {
  const heat = serve === "chilled" || serve === "room" || (setsCold && !/sweet/.test(fault)) ? "chilled" : "hot";
  switch (fault) {
    case "too thin":
      return { property: `body.${heat}`, side: "below" };
    case "too thick":
      return { property: `body.${heat}`, side: "above" };
    case "too soft to slice":
      return { property: "body.chilled", side: "below" };
    case "not sweet enough":
      return { property: `sweetness.${heat}`, side: "below" };
    case "too sweet":
      return { property: `sweetness.${heat}`, side: "above" };
    case "crumbles":
      return { property: "binding", side: "below" };
    case "greasy":
      return { property: "binding", side: "above" };
    default:
      return null;
  }
}

/** Body at which a cold sweet slices. */
const SLICES = 8;
/** Between these what binds neither crumbles nor is greasy; where it is aimed at. */
const BINDS = { least: 0.9, aimed: 1, most: 1.12 };
const ENDS = { least: 0, most: 10 };
/** From this on a sweet is bound by what sticks: its binding says nothing of fat. */
export const STICKS = 2;

/** What a figure is to come to, what it is, and what is asked where the figures do not show the fault. */
export interface Target {
  readonly property: PropertyId;
  readonly now: number;
  readonly wanted: number;
  /** From this difference on it is noticed, in its unit. */
  readonly noticed: number;
  readonly question: string | null;
}

/**
 * Where a figure has to go: to what was meant; where the pot is as it was meant by its figures, one noticed difference from what it
 * is, and that is asked about. Null for a fault that no figure tells.
 */
export function targetOf(fault: Fault, pot: Figures, meant: Figures, served: Served, constants: Pick<Constants, "noticeable">): Target | null {
  const shows = showsIn(fault, served);
  if (!shows) return null;
  const { property, side } = shows;
  const now = pot[property].value;
  // What is pressed and cut holds by its syrup, what sticks by itself by no share of fat: no figure tells how far.
  if (property === "binding" ? now > STICKS : property.startsWith("body.") && !bodyHolds(pot)) return null;
  const by = constants.noticeable.value;
  const sign = side === "below" ? 1 : -1;
  if (property === "binding") {
    const isShown = side === "below" ? now < BINDS.least : now > BINDS.most;
    const wanted = isShown ? (side === "below" ? BINDS.aimed : BINDS.most) : now + sign * BINDING_STEP;
    const question = isShown
      ? null
      : `By what went in it binds (${now.toFixed(2)} of what is taken up): did it all go in, and is it still warm? What follows moves it a little further.`;
    return { property, now, wanted, noticed: BINDING_STEP, question };
  }
  const isBody = property.startsWith("body.");
  const noticed = isBody ? by.body : Math.max(LEAST_SWEETNESS, by.sweetness * now);
  const aim = fault === "too soft to slice" ? Math.max(SLICES, meant[property].value) : meant[property].value;
  const isShown = sign * (aim - now) >= noticed / 2;
  const wanted = isShown ? aim : now + sign * noticed;
  const told = isBody ? `${now.toFixed(1)} of 10, meant to be ${aim.toFixed(1)}` : `${now.toFixed(1)} g as sugar in 100 g, meant to be ${aim.toFixed(1)}`;
  return {
    property,
    now,
    wanted: isBody ? Math.min(ENDS.most - 0.1, Math.max(ENDS.least + 0.1, wanted)) : Math.max(0, wanted),
    noticed,
    question: isShown
      ? null
      : `By its figures it is as it was meant (${told}). What does the pot weigh, and did all of it go in? What follows moves it by as much as is just noticed.`,
  };
}
const BINDING_STEP = 0.12;
const LEAST_SWEETNESS = 0.5;

interface Found {
  readonly figures: Figures;
  readonly isThickened: boolean;
  readonly hasCaramel: boolean;
}

/** Why a fault cannot be one of such a sweet; null where it can. */
export function notOfThis(
  fault: Fault,
  { archetype, lines }: Pick<EvaluationInput, "archetype" | "lines">,
  { figures, isThickened, hasCaramel }: Found,
): string | null {
  if ((fault === "crumbles" || fault === "greasy") && isThickened)
    return `It is ${fault === "crumbles" ? "no sweet that is bound" : "moist enough to hold its fat"}: what crumbles or is greasy is a ladoo, a barfi or a dry mix. Is it too thin, or split?`;
  if ((fault === "too thin" || fault === "too thick" || (fault === "too soft to slice" && archetype !== "barfi")) && !isThickened)
    return "It is bound, not thickened: under a fifth of it is water. Does it crumble, or is it greasy?";
  if (fault === "too soft to slice" && (isEatenFrozen(figures) || archetype === "sauce")) return "What is frozen or poured is not sliced. Is it too thin?";
  if ((fault === "split" || fault === "lumpy") && !isThickened)
    return `It is too dry to ${fault === "split" ? "split" : "be lumpy"}: does it crumble, is it greasy, or gritty?`;
  if (fault === "split" && !lines.some(({ food, role }) => role === "liquid" && food.family !== "water"))
    return "There is no milk or extract in it that could split. Is it lumpy, or too thin?";
  if (fault === "bitter caramel" && !hasCaramel) return "Nothing in it is caramelised. Is it scorched?";
  return null;
}
