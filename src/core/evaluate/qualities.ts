import type { Constants } from "../food";
import { colourOf, flavourNotes, type Colour, type FlavourNote } from "../models/appearance";
import { keepingKind, keepingOf, type Keeping } from "../models/keeping";
import type { KeptFigures } from "./evaluate";
import type { EvaluationInput } from "./input";

const A_LITTLE = 0.01;

/** What is told of a sweet in words: what it looks like, what it tastes of beside sweet, how long it keeps. */
export interface Qualities {
  readonly colour: Colour;
  readonly notes: readonly FlavourNote[];
  /** In words why it cannot be told, where not all that goes in is known. */
  readonly keeping: Keeping | string;
}

/** `isWhole`: whether all that goes in is read, and among the lines. */
export function qualitiesOf({ lines, cookMinutes }: EvaluationInput, figures: KeptFigures, isWhole: boolean, constants: Constants): Qualities {
  const mass = figures.yield.value;
  const unknown = lines.find(({ food, grams }) => food.unknown.includes("water") && grams > A_LITTLE * mass);
  return {
    colour: colourOf(lines, mass, constants),
    notes: flavourNotes(lines, mass, constants),
    keeping: !isWhole
      ? "not told until all that goes in is read and listed"
      : unknown
        ? `not told: how much water ${unknown.food.name.toLowerCase()} holds is not known`
        : figures.waterActivity
          ? keepingOf(keepingKind(lines, mass, figures.water.value, cookMinutes), figures.waterActivity, constants)
          : "not worked out when this was kept",
  };
}
