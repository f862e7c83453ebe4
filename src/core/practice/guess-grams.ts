import type { Food } from "../food";
import { Z80 } from "../numeric";
import type { Kitchen } from "../kitchen";
import { FILLING, MEASURE_SHARE } from "../units";
import { chanceOf } from "./chance";

/** What is drawn: a cone on a board, a spoon filled somehow, balls. Lengths in cm, as drawn beside a spoon of 15 cm. */
export type Drawn =
  | { readonly shape: "heap"; readonly across: number; readonly high: number }
  | {
      readonly shape: "spoon";
      readonly spoons: number;
      readonly filling: "level" | "rounded" | "heaped";
      readonly of: "tablespoon" | "teaspoon";
      readonly millilitres: number;
    }
  | { readonly shape: "balls"; readonly balls: number; readonly across: number };

/** A food in a shape, whose grams are guessed. */
export interface GuessGrams {
  readonly food: Food;
  readonly drawn: Drawn;
  /** g, and half the 80 % interval as a share: how it is filled and packed. */
  readonly grams: number;
  readonly share: number;
}

/** Of what is kneaded into balls, g per ml at least; and how steep a heap of dry things stands, height by radius: rules of thumb. */
const [DENSE, STEEP] = [0.85, [0.5, 0.75]] as const;
/** How far packing differs in a heap, and in a ball. */
const PACKED = 0.08;

/** A food of the house, drawn by a seed in a shape that it can have; null where none of these foods is measured by bulk. */
export function guessGrams(seed: number, foods: readonly Food[], { household: { measures } }: Kitchen): GuessGrams | null {
  const chance = chanceOf(seed);
  const bulk = foods.filter(({ density, nature }) => density !== null && nature !== null && !["liquid", "oil", "essence"].includes(nature.form));
  const [first, ...others] = bulk.toSorted((a, b) => (a.id < b.id ? -1 : 1));
  if (!first) return null;
  const food = chance.one([first, ...others]);
  const density = food.density ?? 1;
  const kneads = food.nature?.form === "paste" || (food.nature?.form === "block" && density >= DENSE);
  const heaps = !food.pours && !["syrup", "paste", "block", "set"].includes(food.nature?.form ?? "");
  const shape = chance.one(kneads ? (["balls", "spoon"] as const) : heaps ? (["heap", "heap", "spoon"] as const) : (["spoon"] as const));
  if (shape === "balls") {
    const [balls, across] = [chance.whole(1, 4), chance.between(1.8, 4.5)];
    return { food, drawn: { shape, balls, across }, grams: balls * density * ((Math.PI * across ** 3) / 6), share: PACKED };
  }
  if (shape === "heap") {
    const across = chance.between(4, 13);
    const high = (across / 2) * chance.between(...STEEP);
    return { food, drawn: { shape, across, high }, grams: density * ((Math.PI * (across / 2) ** 2 * high) / 3), share: PACKED };
  }
  const of = chance.one(["tablespoon", "tablespoon", "teaspoon"] as const);
  const filling = food.pours ? "level" : chance.one(["level", "rounded", "heaped"] as const);
  const [spoons, millilitres] = [chance.whole(1, 5), measures[of]];
  const grams = spoons * millilitres * density * FILLING[filling].spoon;
  return { food, drawn: { shape: "spoon", spoons, filling, of, millilitres }, grams, share: MEASURE_SHARE.spoon + FILLING[filling].share };
}

/** A guess beside what it is: the logarithm of guess by truth. */
export interface Guess {
  readonly food: string;
  readonly ln: number;
}
/** How somebody's eye is off with a food. */
export interface Eye {
  readonly food: string;
  readonly guesses: number;
  /** Guessed so much more than there is on average, as a share; below 0 less. */
  readonly leans: number;
  /** Half the 80 % interval of a guess, leaning and scatter together, as a share. */
  readonly share: number;
  /** Enough guesses for it to be used as what a measure by eye is off. */
  readonly isEnough: boolean;
}
/** From so many guesses on their scatter is known to about a third of itself. */
export const ENOUGH_GUESSES = 8;
/** What is further off than this is no measure. */
const FARTHEST = 0.6;
/** Nobody's eye is surer than a spoon. */
const SUREST = 0.05;

/** Somebody's own error by food, from their guesses; what was guessed most first. */
export function eyeOf(guesses: readonly Guess[]): readonly Eye[] {
  const byFood = new Map<string, number[]>();
  for (const { food, ln } of guesses) if (Number.isFinite(ln)) byFood.set(food, [...(byFood.get(food) ?? []), ln]);
  return [...byFood]
    .map(([food, all]): Eye => {
      const mean = all.reduce((sum, each) => sum + each, 0) / all.length;
      const square = all.reduce((sum, each) => sum + each ** 2, 0) / all.length;
      const share = Math.max(SUREST, Math.expm1(Z80 * Math.sqrt(square)));
      return {
        food,
        guesses: all.length,
        leans: Math.expm1(mean),
        share,
        isEnough: all.length >= ENOUGH_GUESSES && share <= FARTHEST,
      };
    })
    .toSorted((a, b) => b.guesses - a.guesses || (a.food < b.food ? -1 : 1));
}
