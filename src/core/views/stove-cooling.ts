import type { StoveState } from "../cook";
import type { Figures } from "../evaluate";
import { COOLING_PLACES, coolingMinutes, type CoolingPlace } from "../process";
import type { Version } from "../substitution";
import type { Constants } from "./stove-aim";

type Minutes = NonNullable<ReturnType<typeof coolingMinutes>>;

/** How long a batch takes to cool in one place: to 21 °C, and from there to 5 °C in the fridge, minutes. */
export interface ToldCooling {
  readonly place: CoolingPlace;
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
const BEFORE_THE_FRIDGE: readonly CoolingPlace[] = COOLING_PLACES.filter((place) => place !== "in the fridge");

/** By where it stands until it goes into the fridge. In a room of 20 °C, 22 °C is as good as 21: the rest is left to the fridge. */
export function coolingOf({ diameter }: Pick<StoveState, "diameter">, figures: Figures, rows: Version["rows"], constants: Constants): readonly ToldCooling[] {
  const grams = figures.yield.value;
  if (grams <= 0 || figures.water.value < WET || rows.length === 0) return [];
  const of = { grams, diameter: diameter ?? constants.process.value.pan, water: figures.water.value };
  return BEFORE_THE_FRIDGE.flatMap((place): ToldCooling[] => {
    const outside = coolingMinutes({ ...of, place, from: HOT, to: WARM + 3, room: ROOM });
    const rest = coolingMinutes({ ...of, place: "in the fridge", from: WARM + 3, to: WARM, room: ROOM });
    const to5 = coolingMinutes({ ...of, place: "in the fridge", from: WARM, to: COLD, room: ROOM });
    if (!outside || !rest || !to5) return [];
    const to21 = { value: outside.value + rest.value, low: outside.low + rest.low, high: outside.high + rest.high };
    const isInTime = to21.high <= FIRST && to5.high <= SECOND ? "yes" : to21.low > FIRST || to5.low > SECOND ? "no" : "perhaps";
    return [{ place, to21, to5, isInTime }];
  });
}
