import type { Constants } from "../food";
import { colourOf, flavourNotes, type Colour, type FlavourNote } from "../models/appearance";
import { keepingKind, keepingOf, type Keeping } from "../models/keeping";
import type { KeptFigures } from "./evaluate";
import type { EvaluationInput } from "./input";

/** What is told of a sweet in words: what it looks like, what it tastes of beside sweet, how long it keeps. */
export interface Qualities {
  readonly colour: Colour;
  readonly notes: readonly FlavourNote[];
  /** Null where its water activity is not known: in a version kept before that was worked out. */
  readonly keeping: Keeping | null;
}

export function qualitiesOf({ lines, cookMinutes }: EvaluationInput, figures: KeptFigures, constants: Constants): Qualities {
  const mass = figures.yield.value;
  return {
    colour: colourOf(lines, mass, constants),
    notes: flavourNotes(lines, mass, constants),
    keeping: figures.waterActivity ? keepingOf(keepingKind(lines, mass, figures.water.value, cookMinutes), figures.waterActivity, constants) : null,
  };
}
