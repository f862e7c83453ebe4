import type { StoveState } from "../cook";
import type { Figures } from "../evaluate";
import { coolingMinutes, TRAY_DEPTH, type CoolingPlace } from "../process";
import type { Constants } from "./stove-aim";

type Minutes = NonNullable<ReturnType<typeof coolingMinutes>>;

/** How long a batch takes to cool in one place: to 21 °C, and from there to 5 °C in the fridge, minutes. */
export interface ToldCooling {
  readonly place: string;
  readonly to21: Minutes;
  readonly to5: Minutes;
  /** Whether it is surely quick enough, perhaps, or surely not: 21 °C within 2 hours, 5 °C within 4 more. */
  readonly isInTime: "yes" | "perhaps" | "no";
}

/** As it leaves the fire, and the room, °C. */
const HOT = 92;
const ROOM = 20;
const [WARM, COLD] = [21, 5];
const [FIRST, SECOND] = [120, 240];
/** What is drier does not spoil in hours, water in 100 g. */
const WET = 40;
/** g per ml, of a pudding. */
const DENSITY = 1.08;
const WAYS: readonly { readonly words: string; readonly place: CoolingPlace; readonly isSpread: boolean }[] = [
  { words: "in the pan", place: "in the room", isSpread: false },
  { words: "in the pan, stirred in cold water", place: "in cold water, stirred", isSpread: false },
  { words: `spread ${TRAY_DEPTH} cm deep in a tray`, place: "in the room", isSpread: true },
];

/** By where it stands until it goes into the fridge. In a room of 20 °C the last few degrees are left to the fridge. */
export function coolingOf({ diameter }: Pick<StoveState, "diameter">, figures: Figures, constants: Constants): readonly ToldCooling[] {
  const grams = figures.yield.value;
  const across = diameter ?? constants.process.value.pan;
  if (grams <= 0 || figures.water.value < WET) return [];
  const depth = (4 * grams) / DENSITY / (Math.PI * across * across);
  const of = { grams, diameter: across, water: figures.water.value, room: ROOM };
  // What stands as shallow in its pan is not spread.
  return WAYS.filter(({ isSpread }) => !isSpread || depth > 1.4 * TRAY_DEPTH).flatMap(({ words, place, isSpread }): ToldCooling[] => {
    const outside = coolingMinutes({ ...of, isSpread, place, from: HOT, to: WARM + 3 });
    const rest = coolingMinutes({ ...of, isSpread, place: "in the fridge", from: WARM + 3, to: WARM });
    const to5 = coolingMinutes({ ...of, isSpread, place: "in the fridge", from: WARM, to: COLD });
    if (!outside || !rest || !to5) return [];
    const to21 = { value: outside.value + rest.value, low: outside.low + rest.low, high: outside.high + rest.high };
    const isInTime = to21.high <= FIRST && to5.high <= SECOND ? "yes" : to21.low > FIRST || to5.low > SECOND ? "no" : "perhaps";
    return [{ place: words, to21, to5, isInTime }];
  });
}
