import { valueOf } from "../evaluate";
import { INDEX, type Constants } from "../food";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import { chanceOf, type Chance } from "./chance";
import { drawPot, potInput, type PracticePot } from "./pot";

/** What can be done to a pot: so much of each, g; driven off is water that is boiled away. */
export const DEEDS = ["liquid", "thickener", "sweetener", "boil off"] as const;
export type Deed = (typeof DEEDS)[number];
export type Doses = Readonly<Record<Deed, number>>;
export const NOTHING_DONE: Doses = { liquid: 0, thickener: 0, sweetener: 0, "boil off": 0 };

/** A pot in two figures, hot. */
export interface PotTold {
  readonly grams: number;
  /** As sugar, g per 100 g. */
  readonly sweetness: number;
  /** Steps of 10, and in words. */
  readonly body: number;
  readonly words: string;
}

/** A pot that is not as it was meant, told by what can be seen and tasted. */
export interface WentWrong {
  readonly pot: PracticePot;
  /** What went in in fact, and what was driven off, g. */
  readonly grams: PracticePot["grams"];
  readonly driven: number;
  readonly meant: PotTold;
  readonly now: PotTold;
  /** What happened: told once it is mended. */
  readonly cause: string;
}

interface Mishap {
  readonly cause: (pot: PracticePot) => string;
  readonly grams: (pot: PracticePot, factor: number) => Partial<PracticePot["grams"]>;
  readonly driven?: (pot: PracticePot, factor: number) => number;
  /** By how much. */
  readonly factor: (chance: Chance) => number;
}
const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);
const MISHAPS: readonly [Mishap, ...Mishap[]] = [
  {
    cause: ({ sweetener }) => `The ${lower(sweetener.name)} was measured twice over in part.`,
    grams: ({ grams }, factor) => ({ sweetener: grams.sweetener * factor }),
    factor: (chance) => chance.between(1.35, 1.8),
  },
  {
    cause: ({ sweetener }) => `Not all of the ${lower(sweetener.name)} went in.`,
    grams: ({ grams }, factor) => ({ sweetener: grams.sweetener * factor }),
    factor: (chance) => chance.between(0.45, 0.7),
  },
  {
    cause: ({ thickener }) => `There was too little ${lower(thickener.name)} in it.`,
    grams: ({ grams }, factor) => ({ thickener: grams.thickener * factor }),
    factor: (chance) => chance.between(0.5, 0.72),
  },
  {
    cause: ({ thickener }) => `There was too much ${lower(thickener.name)} in it.`,
    grams: ({ grams }, factor) => ({ thickener: grams.thickener * factor }),
    factor: (chance) => chance.between(1.4, 1.9),
  },
  {
    cause: () => "It stood on the flame too long.",
    grams: () => ({}),
    driven: ({ grams, driven }, factor) => driven + factor * (grams.liquid - driven),
    factor: (chance) => chance.between(0.22, 0.38),
  },
  {
    cause: () => "It was taken off too soon.",
    grams: () => ({}),
    driven: ({ driven }, factor) => driven * factor,
    factor: (chance) => chance.between(0, 0.3),
  },
  {
    cause: ({ liquid }) => `More ${lower(liquid.name)} was poured in than the recipe has.`,
    grams: ({ grams }, factor) => ({ liquid: grams.liquid * factor }),
    factor: (chance) => chance.between(1.25, 1.5),
  },
];

function tell(pot: PracticePot, grams: PracticePot["grams"], driven: number, constants: Constants): PotTold {
  const input = potInput(pot, grams, driven);
  const body = valueOf(input, "body.hot", constants);
  const all = grams.liquid + grams.thickener + grams.sweetener - driven;
  return { grams: all, sweetness: valueOf(input, "sweetness.hot", constants), body, words: bodyWords(body, constants) };
}

/** How far a pot is from what was meant, in least noticed differences: of sweetness and body the larger. */
const missOf = (now: PotTold, meant: PotTold, { noticeable: { value } }: Constants): number =>
  Math.max(Math.abs(Math.log(now.sweetness / meant.sweetness)) / Math.log(1 + value.sweetness), Math.abs(now.body - meant.body) / value.body);

/** Draws until what went wrong is noticed. */
const TRIES = 40;
const NOTICED = 1.3;

/** A pot of a seed that went wrong; null where the kitchen has no foods for one. */
export function wentWrong(seed: number, kitchen: Kitchen): WentWrong | null {
  const chance = chanceOf(seed);
  const { constants } = kitchen.reference;
  for (let left = TRIES; left > 0; left--) {
    const pot = drawPot(chance, kitchen);
    if (!pot) return null;
    const mishap = chance.one(MISHAPS);
    const factor = mishap.factor(chance);
    const grams = { ...pot.grams, ...mishap.grams(pot, factor) };
    const driven = mishap.driven?.(pot, factor) ?? pot.driven;
    const [meant, now] = [tell(pot, pot.grams, pot.driven, constants), tell(pot, grams, driven, constants)];
    if (missOf(now, meant, constants) >= NOTICED) return { pot, grams, driven, meant, now, cause: mishap.cause(pot) };
  }
  return null;
}

/** How a pot stands after something was done to it. */
export interface Mended {
  readonly after: PotTold;
  /** In least noticed differences, of sweetness and body the larger: below 1 nobody notices. */
  readonly miss: number;
  /** The one thing that would have done most, and how far off it leaves it; null where nothing does better than leaving it. */
  readonly best: { readonly deed: Deed; readonly grams: number; readonly miss: number } | null;
}

/** What a pot comes to that something is done to. A thickener is slaked in twice as much of the liquid; what is boiled off leaves some water in it. */
export function mended(story: WentWrong, doses: Doses, { reference: { constants } }: Kitchen): Mended {
  const after = dosed(story, doses, constants);
  const alone = DEEDS.flatMap((deed) => {
    let best = { deed, grams: 0, miss: missOf(story.now, story.meant, constants) };
    for (let grams = STEPS[deed]; grams <= MOST[deed] * story.now.grams; grams += STEPS[deed]) {
      const miss = missOf(dosed(story, { ...NOTHING_DONE, [deed]: grams }, constants), story.meant, constants);
      if (miss < best.miss) best = { deed, grams, miss };
    }
    return best.grams > 0 ? [best] : [];
  });
  const [best = null] = alone.toSorted((a, b) => a.miss - b.miss);
  return { after, miss: missOf(after, story.meant, constants), best };
}
const STEPS: Doses = { liquid: 10, thickener: 1, sweetener: 2, "boil off": 10 };
/** Of what is in the pot, at most so much of each. */
const MOST: Doses = { liquid: 0.8, thickener: 0.06, sweetener: 0.2, "boil off": 0.5 };
/** What a thickener is slaked in, g per g. */
const SLAKED = 2;
/** So much of the water stays in whatever is done, as a share. */
const STAYS = 0.1;

function dosed({ pot, grams, driven }: WentWrong, doses: Doses, constants: Constants): PotTold {
  const then = {
    liquid: grams.liquid + doses.liquid + SLAKED * doses.thickener,
    thickener: grams.thickener + doses.thickener,
    sweetener: grams.sweetener + doses.sweetener,
  };
  const water = ((pot.liquid.per100g[INDEX.water] ?? 0) * then.liquid) / 100;
  return tell(pot, then, Math.min(driven + doses["boil off"], (1 - STAYS) * water), constants);
}
