import { learnedKey, type ServingTemperature } from "../food";
import type { Outcome } from "../learning";
import { Z80, type Figure } from "../numeric";
import { indexOfBody } from "../process";
import { isAllOneEnd, type Step, type TastingAnswer } from "../sensory";
import type { Constants } from "./stove-aim";
import type { StoveStanding } from "./stove-standing";

/** What an eater of the household said of a batch, and when, ms. */
export interface EaterTasting {
  readonly eater: string;
  readonly served: ServingTemperature;
  readonly answer: TastingAnswer;
  readonly at: number;
}

/**
 * What each step of an answer says of how far the sweet is from what is wanted. Just right is what cannot be told from it, by the least
 * difference that is noticed; a little off ends at three of those. Rules of thumb.
 */
const JUST = 1;
const LITTLE = 3;
/** Who answers later than this after it was cooked remembers it rather than tastes it, ms. */
const LATE = 30 * 24 * 3_600_000;

/** Between what the wanted one lies by the sweet itself, in least noticed differences: below it where it is too much. */
function wantedFrom(step: Step): readonly [low: number | null, high: number | null] {
  switch (step) {
    case 0:
      return [-JUST, JUST];
    case 1:
      return [-LITTLE, -JUST];
    case 2:
      return [null, -LITTLE];
    case -1:
      return [JUST, LITTLE];
    case -2:
      return [LITTLE, null];
  }
}

/**
 * How sweet and how thick each eater wants it beside the recipe as it was handed down, as their answers say: ranges, by what was in the
 * batch as it was served. Nothing of a batch that holds what nobody knows or has read, of an answer long after, or of the same end of everything.
 */
export function palateOutcomes(
  tastings: readonly EaterTasting[],
  endedAt: number,
  { ground, figures, isBound, unknown }: StoveStanding,
  constants: Constants,
): readonly Omit<Outcome, "batch">[] {
  if (unknown.length > 0 || ground.read.unresolved.length > 0) return [];
  const usual = ground.before.figures;
  const { sweetness: noticed, body: noticedBody } = constants.noticeable.value;
  return tastings.flatMap(({ eater, served, answer, at }): Omit<Outcome, "batch">[] => {
    if (at - endedAt > LATE || isAllOneEnd(answer)) return [];
    const { sweetness, body } = answer.steps;
    const told = figures[`sweetness.${served}`];
    const cooled = served === "hot" || served === "warm" ? "hot" : served === "chilled" ? "chilled" : null;
    const sweet =
      sweetness === undefined || !(told.value > 0) || !(usual[`sweetness.${served}`].value > 0)
        ? []
        : [
            {
              of: { [learnedKey.wantedSweetness(eater)]: 1 },
              ln: rangeOf(sweetness, (steps) => Math.log(told.value / usual[`sweetness.${served}`].value) + steps * Math.log(1 + noticed)),
              sd: relative(told),
              at,
            },
          ];
    if (body === undefined || cooled === null || isBound) return sweet;
    const [thick, usually] = [figures[`body.${cooled}`], usual[`body.${cooled}`].value];
    const indexAt = (step: number) => indexOfBody(Math.max(THINNEST, Math.min(THICKEST, step)), constants);
    return [
      ...sweet,
      {
        of: { [learnedKey.wantedBody(eater)]: 1 },
        ln: rangeOf(body, (steps) => Math.log(indexAt(thick.value + steps * noticedBody) / indexAt(usually))),
        sd: Math.log(indexAt(thick.high) / indexAt(thick.low)) / (2 * Z80),
        at,
      },
    ];
  });
}

/** Beyond these, steps of 10, a spoon tells no more. */
const [THINNEST, THICKEST] = [0.5, 9.5];

const rangeOf = (step: Step, at: (steps: number) => number): readonly [low: number | null, high: number | null] => {
  const [low, high] = wantedFrom(step);
  return [low === null ? null : at(low), high === null ? null : at(high)];
};
const relative = ({ value, low, high }: Figure): number => (high - low) / (2 * Z80 * value);
