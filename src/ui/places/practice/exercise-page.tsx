"use client";

import { useRouter } from "next/navigation";
import type { Exercise } from "../../../core/practice";
import { ExerciseFrame } from "./exercise-frame";
import { GuessGrams } from "./guess-grams";
import { PRACTICE_WORDS } from "./practice-words";
import { StopInTime } from "./stop-in-time";
import { WentWrong } from "./went-wrong";

interface ExercisePageProps {
  /** Null where the kitchen has no foods for it. */
  readonly exercise: Exercise | null;
  readonly kind: Exercise["kind"];
  readonly eater: string | null;
}

/** One exercise, and the next when it is done. */
export function ExercisePage({ exercise, kind, eater }: ExercisePageProps) {
  const router = useRouter();
  const query = eater === null ? "" : `&eater=${encodeURIComponent(eater)}`;
  const again = () => router.push(`/practice/${PRACTICE_WORDS[kind].path}?seed=${Math.floor(Math.random() * 2 ** 31)}${query}`);
  return (
    <ExerciseFrame kind={kind} eater={eater}>
      {exercise === null ? (
        <p>This kitchen has no foods to practise with.</p>
      ) : exercise.kind === "stop in time" ? (
        <StopInTime exercise={exercise} eater={eater} onAgain={again} />
      ) : exercise.kind === "what went wrong" ? (
        <WentWrong exercise={exercise} eater={eater} onAgain={again} />
      ) : (
        <GuessGrams exercise={exercise} eater={eater} onAgain={again} />
      )}
    </ExerciseFrame>
  );
}
