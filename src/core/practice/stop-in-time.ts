import { valueOf } from "../evaluate";
import { INDEX, type Food } from "../food";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import { evaporationRate } from "../process";
import { fraction } from "../units";
import { chanceOf } from "./chance";
import { drawPot, potInput, type PracticePot } from "./pot";

/** A pot at a moment of its cooking down. */
export interface StopMoment {
  readonly minutes: number;
  /** g in the pot. */
  readonly grams: number;
  /** Body as it stands in the pot, and at 8 °C, steps of 10. */
  readonly hot: number;
  readonly cold: number;
  /** As it stands in the pot, in words. */
  readonly words: string;
}

/** A pot that cooks down, to be stopped at the body that is wanted cold. */
export interface StopInTime {
  readonly pot: PracticePot;
  /** Every half minute of the pot's own time, from the boil on. */
  readonly moments: readonly StopMoment[];
  /** When it is to be stopped, minutes. */
  readonly best: number;
}

const STEP = 0.5;
/** After so long, and from so thick on, there is nothing to stop any more. */
const [LONGEST, THICKEST] = [150, 9.3];
/** This stove boils away so much more or less than a table says: nobody knows beforehand. */
const STOVE = 1.35;

/** A pot of a seed as it cooks down; null where the kitchen has no foods for one. */
export function stopInTime(seed: number, kitchen: Kitchen): StopInTime | null {
  const chance = chanceOf(seed);
  const pot = drawPot(chance, kitchen);
  if (!pot) return null;
  const { constants } = kitchen.reference;
  const { evaporationFlux, process } = constants;
  const factor = chance.about(1, STOVE);
  const all = pot.grams.liquid + pot.grams.thickener + pot.grams.sweetener;
  const dry = all - waterOf(pot);
  const moments: StopMoment[] = [];
  let driven = 0;
  for (let minutes = 0; minutes <= LONGEST; minutes += STEP) {
    const input = potInput(pot, pot.grams, driven);
    const hot = valueOf(input, "body.hot", constants);
    const cold = valueOf(input, "body.chilled", constants);
    moments.push({ minutes, grams: all - driven, hot, cold, words: bodyWords(hot, constants) });
    const rate = factor * evaporationRate("simmer", process.value.pan, fraction(Math.min(1, dry / (all - driven))), evaporationFlux.value);
    if (cold > THICKEST || rate <= 0) break;
    driven += rate * STEP;
  }
  return { pot, moments, best: bestOf(pot, moments) };
}

const waterOf = ({ liquid, thickener, sweetener, grams }: PracticePot): number => {
  const of = (food: Food, amount: number) => ((food.per100g[INDEX.water] ?? 0) * amount) / 100;
  return of(liquid, grams.liquid) + of(thickener, grams.thickener) + of(sweetener, grams.sweetener);
};

function bestOf({ wanted }: PracticePot, moments: readonly StopMoment[]): number {
  const after = moments.findIndex(({ cold }) => cold >= wanted);
  const [before, then] = [moments[after - 1], moments[after]];
  if (!then) return moments.at(-1)?.minutes ?? 0;
  return before ? before.minutes + (STEP * (wanted - before.cold)) / Math.max(1e-9, then.cold - before.cold) : 0;
}

/**
 * A pot at a moment between those that are worked out. Minutes from 0; beyond the last it stands as then.
 */
export function momentAt(moments: readonly StopMoment[], minutes: number): StopMoment | null {
  const at = Math.max(0, Math.min(moments.length - 1, minutes / STEP));
  const [before, after] = [moments[Math.floor(at)], moments[Math.ceil(at)]];
  if (!before || !after) return null;
  const part = at - Math.floor(at);
  const between = (of: "grams" | "hot" | "cold") => before[of] + part * (after[of] - before[of]);
  return { minutes: at * STEP, grams: between("grams"), hot: between("hot"), cold: between("cold"), words: before.words };
}

/** How a pot that was stopped turned out. */
export interface Stopped {
  readonly at: StopMoment;
  readonly coldWords: string;
  /** Steps of body from what was wanted, above 0 too thick. */
  readonly miss: number;
  /** How it stood in the pot when it was right to stop. */
  readonly rightWords: string;
  readonly best: number;
}
/** What it comes to that a pot was stopped after so many minutes. */
export function stopped({ pot, moments, best }: StopInTime, minutes: number, { reference: { constants } }: Kitchen): Stopped | null {
  const [at, right] = [momentAt(moments, minutes), momentAt(moments, best)];
  return at && right && { at, coldWords: bodyWords(at.cold, constants), miss: at.cold - pot.wanted, rightWords: right.words, best };
}
