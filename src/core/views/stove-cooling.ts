import type { StoveState } from "../cook";
import type { Figures } from "../evaluate";
import { learnedKey } from "../food";
import { Z80 } from "../numeric";
import { COOLING_WAYS, coolingMinutes, FRIDGE, TRAY_DEPTH } from "../process";
import type { Constants } from "./stove-aim";

type Minutes = NonNullable<ReturnType<typeof coolingMinutes>>;

/** How long a batch takes to cool in one place: to 21 °C, and from there to 5 °C in the fridge, minutes. */
export interface ToldCooling {
  readonly place: string;
  readonly to21: Minutes;
  readonly to5: Minutes;
  /** By how many batches that were measured as they cooled there; 0: by the law alone. */
  readonly batches: number;
  /** Whether it is surely quick enough, perhaps, or surely not: 21 °C within 2 hours, 5 °C within 4 more. */
  readonly isInTime: "yes" | "perhaps" | "no";
}

/** As it leaves the fire, and the room, °C. */
const HOT = 92;
export const ROOM = 20;
const [WARM, COLD] = [21, 5];
const [FIRST, SECOND] = [120, 240];
/** What is drier does not spoil in hours, water in 100 g. */
const WET = 40;
/** g per ml, of a pudding. */
const DENSITY = 1.08;
export interface Cooled {
  readonly grams: number;
  readonly diameter: number | null;
  /** In 100 g. */
  readonly water: number;
}

/**
 * How long something takes to cool from one warmth to another where it stands, as the house's own batches have shown; null where it
 * does not get so cold there, or nobody knows the place.
 * @unit minutes
 * @range 0 or more
 * @source Newton's law of cooling, times what was learned
 */
export function coolsIn(words: string, { grams, diameter, water }: Cooled, from: number, to: number, constants: Constants): Minutes | null {
  const way = COOLING_WAYS.find((each) => each.words === words);
  const by =
    way && coolingMinutes({ grams, diameter: diameter ?? constants.process.value.pan, water, room: ROOM, isSpread: way.isSpread, place: way.place, from, to });
  const own = constants.learned[learnedKey.cooling(words)];
  if (!by || !own) return by ?? null;
  const value = by.value * Math.exp(own.ln);
  return { value, low: value * Math.exp(-Z80 * own.sd), high: value * Math.exp(Z80 * own.sd) };
}

/** By where it stands until it goes into the fridge. In a room of 20 °C the last few degrees are left to the fridge. */
export function coolingOf({ diameter }: Pick<StoveState, "diameter">, figures: Figures, constants: Constants): readonly ToldCooling[] {
  const grams = figures.yield.value;
  const across = diameter ?? constants.process.value.pan;
  if (grams <= 0 || figures.water.value < WET) return [];
  const depth = (4 * grams) / DENSITY / (Math.PI * across * across);
  const of: Cooled = { grams, diameter, water: figures.water.value };
  // What stands as shallow in its pan is not spread.
  return COOLING_WAYS.filter(({ words, isSpread }) => words !== FRIDGE && (!isSpread || depth > 1.4 * TRAY_DEPTH)).flatMap(
    ({ words, isSpread }): ToldCooling[] => {
      const outside = coolsIn(words, of, HOT, WARM + 3, constants);
      // What was spread stays spread as it goes into the fridge.
      const inFridge = (from: number, to: number) => {
        const minutes = isSpread ? coolingMinutes({ ...of, diameter: across, isSpread, place: "in the fridge", room: ROOM, from, to }) : null;
        return isSpread ? minutes : coolsIn(FRIDGE, of, from, to, constants);
      };
      const rest = inFridge(WARM + 3, WARM);
      const to5 = inFridge(WARM, COLD);
      if (!outside || !rest || !to5) return [];
      const to21 = { value: outside.value + rest.value, low: outside.low + rest.low, high: outside.high + rest.high };
      const isInTime = to21.high <= FIRST && to5.high <= SECOND ? "yes" : to21.low > FIRST || to5.low > SECOND ? "no" : "perhaps";
      return [{ place: words, to21, to5, batches: constants.learned[learnedKey.cooling(words)]?.batches ?? 0, isInTime }];
    },
  );
}
