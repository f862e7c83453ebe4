import type { Food } from "../../core/food";
import type { Kitchen } from "../../core/kitchen";
import {
  exerciseOf,
  eyeOf,
  guessGrams,
  ladderPair,
  mended,
  nextStep,
  noticedDifference,
  stopInTime,
  stopped,
  wentWrong,
  type Exercise,
  type ExerciseKind,
  type Eye,
  type LadderTrial,
  type NoticedDifference,
} from "../../core/practice";
import { mayClimb, type MayClimb } from "../../core/views";
import { REFERENCE } from "../../data";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateForget, validateTry } from "../http/schemas/practice";
import { fastsToday } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters } from "../kitchen/sources";

/** So many tries of a kind are looked at: a year of ten minutes a day would be more. */
const MOST = 400;
const NOTHING = "This kitchen has no foods to practise with.";

/** Foods to be guessed: those of the house's recipes and its own; where there are none, all that are. */
async function foodsHere({ reference: { foods } }: Kitchen): Promise<readonly Food[]> {
  const used = new Set((await db.recipeFoods(await getDatabase())).flatMap(({ foodIds }) => foodIds));
  const own = [...foods.values()].filter(({ id }) => used.has(id));
  return own.some(({ density }) => density !== null) ? own : [...foods.values()];
}

async function requireEater(id: string | null): Promise<void> {
  if (id !== null && !(await getEaters()).document.eaters.some((each) => each.id === id))
    throw new Refusal(422, "Say who practises: one of the eaters, or nobody.", [{ pointer: "/eater", detail: "It is nobody who eats here." }]);
}

/** Who may climb the palate ladder today. */
export async function whoMayClimb(): Promise<readonly MayClimb[]> {
  const [{ document }, { falls }, kitchen] = await Promise.all([getEaters(), fastsToday(), getKitchen()]);
  return mayClimb(document.eaters, falls, kitchen);
}

type Try = Extract<ReturnType<typeof readTry>, object>;
const readTry = (body: unknown) => checked(validateTry, body);

/** What a try came to, in full for who made it, and in short to be kept. */
async function worked(asked: Try): Promise<{ readonly told: object; readonly result: db.RunResult }> {
  const kitchen = await getKitchen();
  switch (asked.kind) {
    case "stop in time": {
      const pot = stopInTime(asked.seed, kitchen);
      const told = pot && stopped(pot, asked.answer.minutes, kitchen);
      if (!told) throw new Refusal(409, NOTHING);
      return { told, result: { miss: told.miss } };
    }
    case "what went wrong": {
      const story = wentWrong(asked.seed, kitchen);
      if (!story) throw new Refusal(409, NOTHING);
      const told = mended(story, asked.answer, kitchen);
      return { told: { ...told, cause: story.cause }, result: { miss: told.miss } };
    }
    case "guess the grams": {
      const heap = guessGrams(asked.seed, await foodsHere(kitchen), kitchen);
      if (!heap) throw new Refusal(409, NOTHING);
      const miss = Math.log(asked.answer.grams / heap.grams);
      return { told: { grams: heap.grams, share: heap.share, miss }, result: { miss, food: heap.food.id } };
    }
    case "palate ladder": {
      const climber = (await whoMayClimb()).find(({ eater }) => eater === asked.eater);
      if (!climber) throw new Refusal(422, "Say who tastes: whether they may is asked first.", [{ pointer: "/eater", detail: "It is nobody who eats here." }]);
      if (!climber.may) throw new Refusal(422, `It is not for ${climber.name}: ${climber.why}.`, [{ pointer: "/eater", detail: climber.why }]);
      const { step, code } = asked.answer;
      const pair = ladderPair(step, asked.seed);
      if (!pair.cups.includes(code)) throw new Refusal(422, "This pair has no cup of that code.", [{ pointer: "/answer/code", detail: "is of another pair" }]);
      const isRight = pair.sweeter === code;
      return { told: { isRight }, result: { miss: null, step, isRight } };
    }
  }
}

/** Works out what a try came to, and keeps it, once however often it is sent. */
export async function saveTry(body: unknown, now = new Date()): Promise<object> {
  const asked = readTry(body);
  await requireEater(asked.eater);
  const { told, result } = await worked(asked);
  const { id, kind, eater, seed, answer } = asked;
  await db.insertRun(await getDatabase(), { id, kind, eaterId: eater, seed, answer, result, at: now.toISOString() });
  return told;
}

/** Forgets all tries of a kind of somebody. */
export async function forgetTries(body: unknown): Promise<void> {
  const { kind, eater } = checked(validateForget, body);
  await db.forgetRuns(await getDatabase(), kind, eater);
}

/** How far off somebody was, try by try, from the first to the last. */
export interface Progress {
  readonly kind: ExerciseKind;
  readonly misses: readonly number[];
}

export interface PracticeState {
  readonly progress: readonly Progress[];
  readonly eyes: readonly (Eye & { readonly name: string })[];
  readonly noticed: NoticedDifference;
  /** The difference in sweetness that is taken to be noticed where a house has none of its own, as a share. */
  readonly usually: number;
}

const trialsOf = (runs: readonly db.PracticeRun[]): readonly LadderTrial[] =>
  runs.flatMap(({ result: { step, isRight } }) => (step === undefined || isRight === undefined ? [] : [{ step, isRight }]));

/** What somebody has practised, and what that tells. */
export async function practiceState(eater: string | null): Promise<PracticeState> {
  const [database, { reference }] = [await getDatabase(), await getKitchen()];
  const runsOf = async (kind: db.Practice) => db.practiceRuns(database, kind, eater, MOST);
  const exercises = ["stop in time", "what went wrong", "guess the grams"] as const;
  const [runs, ladder] = await Promise.all([Promise.all(exercises.map(runsOf)), runsOf("palate ladder")]);
  const progress = exercises.map((kind, i): Progress => ({ kind, misses: (runs[i] ?? []).flatMap(({ result: { miss } }) => (miss === null ? [] : [miss])) }));
  const [, , grams = []] = runs;
  const guesses = grams.flatMap(({ result: { food, miss } }) => (food === undefined || miss === null ? [] : [{ food, ln: miss }]));
  return {
    progress,
    eyes: eyeOf(guesses).flatMap((eye) => {
      const food = reference.foods.get(eye.food);
      return food ? [{ ...eye, name: food.name }] : [];
    }),
    noticed: noticedDifference(trialsOf(ladder)),
    usually: REFERENCE.constants.noticeable.value.sweetness,
  };
}

/** An exercise as it is drawn from a seed, without what is to be found out; null where the kitchen has no foods for it. */
export async function drawExercise(kind: ExerciseKind, seed: number): Promise<Exercise | null> {
  const kitchen = await getKitchen();
  return exerciseOf(kind, seed, await foodsHere(kitchen), kitchen);
}

/** By how much the next pair of the ladder differs, for somebody. */
export const nextPairStep = async (eater: string): Promise<number> =>
  nextStep(trialsOf(await db.practiceRuns(await getDatabase(), "palate ladder", eater, MOST)));
