import type { Food } from "../food";
import type { Kitchen } from "../kitchen";
import { guessGrams, type Drawn } from "./guess-grams";
import type { PracticePot } from "./pot";
import { stopInTime } from "./stop-in-time";
import { wentWrong, type PotTold } from "./went-wrong";

/** What is in a pot, by name. */
export interface PotNames {
  readonly liquid: string;
  readonly thickener: string;
  readonly sweetener: string;
}

/** An exercise as it is set: nothing of what is to be found out. */
export type Exercise =
  | {
      readonly kind: "stop in time";
      readonly seed: number;
      readonly pot: PotNames;
      readonly wantedWords: string;
      readonly moments: readonly { readonly minutes: number; readonly grams: number; readonly words: string }[];
    }
  | {
      readonly kind: "what went wrong";
      readonly seed: number;
      readonly pot: PotNames;
      readonly grams: PracticePot["grams"];
      readonly meant: PotTold;
      readonly now: PotTold;
    }
  | { readonly kind: "guess the grams"; readonly seed: number; readonly food: string; readonly drawn: Drawn };
export type ExerciseKind = Exercise["kind"];

const namesOf = ({ liquid, thickener, sweetener }: PracticePot): PotNames => ({
  liquid: liquid.name,
  thickener: thickener.name,
  sweetener: sweetener.name,
});

/** The exercise of a seed; `foods` are those whose grams may be guessed. Null where the kitchen has no foods for one. */
export function exerciseOf(kind: ExerciseKind, seed: number, foods: readonly Food[], kitchen: Kitchen): Exercise | null {
  switch (kind) {
    case "stop in time": {
      const task = stopInTime(seed, kitchen);
      const moments = task?.moments.map(({ minutes, grams, words }) => ({ minutes, grams, words }));
      return task && { kind, seed, pot: namesOf(task.pot), wantedWords: task.pot.wantedWords, moments: moments ?? [] };
    }
    case "what went wrong": {
      const story = wentWrong(seed, kitchen);
      return story && { kind, seed, pot: namesOf(story.pot), grams: story.pot.grams, meant: story.meant, now: story.now };
    }
    case "guess the grams": {
      const heap = guessGrams(seed, foods, kitchen);
      return heap && { kind, seed, food: heap.food.name, drawn: heap.drawn };
    }
  }
}
