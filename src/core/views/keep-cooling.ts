import type { Figures } from "../evaluate";
import { panVolume, type Pan } from "../household";
import { coolingMinutes, type CoolingPlace } from "../process";

type Minutes = NonNullable<ReturnType<typeof coolingMinutes>>;

/** How long a sweet takes to cool in a vessel: to 21 °C, and on to 5 °C in the fridge, minutes (80 %). */
export interface VesselCooling {
  readonly vessel: string;
  /** How deep it stands in it, cm. */
  readonly depth: number;
  /** Null where it does not get so cold there. */
  readonly to21: Minutes | null;
  readonly to5: Minutes | null;
  readonly isInTime: "yes" | "perhaps" | "no";
}

const HOT = 92;
const [WARM, COLD] = [21, 5];
/** So warm it goes into the fridge, open: shallow it does not warm what else is in there (a rule of thumb); no sooner than it is near the room's warmth. */
const HAND_WARM = 40;
const NEAR = 3;
const [FIRST, SECOND] = [120, 240];
const WET = 40;
const DENSITY = 1.08;
/** A bowl or cup for one, cm across; how deep a tray is filled, cm. */
const CUP = 8;
const TRAYS = [2, 4] as const;

/**
 * Cooling of a finished sweet by vessel and depth: in the house's pans that hold it, in trays, in a cup for each serving. Empty of what is so dry that
 * it does not spoil in hours. In a warm room it goes into the fridge sooner.
 */
export function coolingByVessel(figures: Figures, servings: number, pans: readonly Pan[], room: number): readonly VesselCooling[] {
  const grams = figures.yield.value;
  const water = figures.water.value;
  if (grams <= 0 || water < WET) return [];
  const volume = grams / DENSITY;
  const across = (depth: number, of: number) => Math.sqrt((4 * of) / (Math.PI * depth));
  const cup = volume / Math.max(1, servings);
  const fitting = pans.filter((pan) => panVolume(pan) >= volume);
  const nameOf = ({ name, diameter }: Pan) => (name.trim() === "" ? `pan, ${diameter} cm` : `“${name.trim()}”`);
  const vessels: readonly { readonly vessel: string; readonly diameter: number; readonly grams: number; readonly place: CoolingPlace }[] = [
    ...fitting.map((pan) => ({ vessel: nameOf(pan), diameter: pan.diameter, grams, place: "in the room" as const })),
    ...fitting
      .slice(0, 1)
      .map((pan) => ({ vessel: `${nameOf(pan)}, stirred in cold water`, diameter: pan.diameter, grams, place: "in cold water, stirred" as const })),
    ...TRAYS.map((depth) => ({ vessel: "a tray", diameter: across(depth, volume), grams, place: "in the room" as const })),
    { vessel: "a cup for each", diameter: CUP, grams: DENSITY * cup, place: "in the room" as const },
  ];
  return vessels.map(({ vessel, diameter, grams: of, place }): VesselCooling => {
    const depth = of / DENSITY / ((Math.PI * diameter * diameter) / 4);
    const cool = (where: CoolingPlace, from: number, to: number) =>
      coolingMinutes({ grams: of, diameter, water, place: where, isSpread: false, from, to, room });
    const until = Math.max(HAND_WARM, room + NEAR);
    const outside = cool(place, HOT, until);
    const rest = cool("in the fridge", until, WARM);
    const to5 = cool("in the fridge", WARM, COLD);
    const to21 = outside && rest ? { value: outside.value + rest.value, low: outside.low + rest.low, high: outside.high + rest.high } : null;
    const isIn = to21 && to5 && to21.high <= FIRST && to5.high <= SECOND;
    const isOut = !to21 || !to5 || to21.low > FIRST || to5.low > SECOND;
    return { vessel, depth, to21, to5, isInTime: isIn ? "yes" : isOut ? "no" : "perhaps" };
  });
}
