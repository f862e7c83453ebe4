import { panVolume, USUAL_JAR, type Equipment } from "../household";
import type { Operation, StepId } from "../recipe";
import { formatNumber } from "../units";
import type { PotAt } from "./pot";

/** A step that is done in several lots, one after the other, because what it is done in holds no more. */
export interface Lots {
  readonly step: StepId;
  readonly lots: number;
  /** Said where the lots begin. */
  readonly text: string | null;
}

/** How full a vessel may be: milk and syrup rise in a pan, grain foams under pressure, a blender throws out what is above its mark. Rules of thumb. */
const FULL = { pan: 2 / 3, cooker: 1 / 2, jar: 2 / 3, steamer: 0.8 } as const;
const MOST_LOTS = 9;
const ON_HEAT: readonly Operation[] = ["roast", "fry", "simmer", "reduce", "caramelise", "dissolve", "temper"];
const WORDS = ["", "", "two", "three", "four", "five", "six", "seven", "eight", "nine"] as const;

interface Vessel {
  readonly name: string;
  readonly litres: number;
  readonly full: number;
}

function vesselOf({ step: { operations, heat } }: PotAt, { pans, pressureCooker, mixer, steamer }: Equipment): Vessel | null {
  if (operations.includes("pressure")) return pressureCooker && { name: "pressure cooker", litres: pressureCooker.litres, full: FULL.cooker };
  if (operations.includes("grind") || operations.includes("press")) return mixer && { name: "mixer jar", litres: mixer.litres ?? USUAL_JAR, full: FULL.jar };
  if (operations.includes("steam")) return steamer ? { name: "steamer", litres: steamer.litres, full: FULL.steamer } : null;
  if (heat === null && !operations.some((each) => ON_HEAT.includes(each))) return null;
  const largest = Math.max(0, ...pans.map(panVolume));
  return largest > 0 ? { name: "largest pan", litres: largest / 1000, full: FULL.pan } : null;
}

/**
 * The steps that do not fit what a household cooks with, and in how many lots they are done. A pot that is too full for the pan is
 * cooked in lots from there on. A gram is taken as a millilitre. Empty where nothing is known of pans and tools.
 * @param evaporation water that is driven off in all, g
 */
export function lotsOf(pots: readonly PotAt[], evaporation: number, equipment: Equipment): Lots[] {
  const minutes = pots.reduce((sum, { step, minutesAfter }) => Math.max(sum, step.part === null ? minutesAfter : 0), 0);
  const inPan = new Map<string | null, number>();
  return pots.flatMap((at): Lots[] => {
    const { step, before, coming, minutesAfter } = at;
    const vessel = vesselOf(at, equipment);
    if (!vessel) return [];
    const isGround = vessel.name === "mixer jar";
    // What is ground is what comes in; where nothing does, all that is there.
    const of = isGround && coming.length > 0 ? coming : [...before, ...coming];
    const gone = step.part === null && minutes > 0 && !isGround ? Math.max(0, evaporation) * (1 - minutesAfter / minutes) : 0;
    const mass = Math.max(0, of.reduce((sum, { grams }) => sum + grams, 0) - gone);
    const needed = Math.min(MOST_LOTS, Math.ceil(mass / (1000 * vessel.full * vessel.litres) - ROUNDING));
    const going = vessel.name === "largest pan" ? (inPan.get(step.part) ?? 1) : 1;
    const lots = Math.max(needed, going);
    if (vessel.name === "largest pan") inPan.set(step.part, lots);
    if (lots < 2) return [];
    const begins = lots > going;
    const holds = `the ${vessel.name} holds ${formatNumber(Math.round(vessel.litres * 10) / 10)} l, and may be ${vessel.full === 0.5 ? "half" : "about two thirds"} full`;
    return [
      {
        step: step.id,
        lots,
        text: begins
          ? `${vessel.name === "largest pan" ? "From here on that is" : "That is"} ${WORDS[lots] ?? lots} lots, one after the other: ${holds}.`
          : null,
      },
    ];
  });
}
/** Fuller than its mark by less than this share is not too full. */
const ROUNDING = 0.03;
