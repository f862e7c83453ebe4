export { stopInTime, stopped, type Stopped } from "./stop-in-time";
export { DEEDS, mended, NOTHING_DONE, wentWrong, type Deed, type Doses, type Mended } from "./went-wrong";
export { ENOUGH_GUESSES, eyeOf, guessGrams, type Drawn, type Eye } from "./guess-grams";
export { LADDER_BASE, LADDER_STEPS, ladderPair, nextStep, noticedDifference, sugarFor, type LadderTrial, type NoticedDifference } from "./palate-ladder";
export { exerciseOf, type Exercise, type ExerciseKind } from "./exercise";
