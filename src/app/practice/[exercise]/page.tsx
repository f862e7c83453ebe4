import { notFound } from "next/navigation";
import type { ExerciseKind } from "@/core/practice";
import { getEaters } from "@/server/kitchen/sources";
import { drawExercise } from "@/server/practice/practice";
import { ExercisePage } from "@/ui/places/practice/exercise-page";
import { PRACTICE_WORDS } from "@/ui/places/practice/practice-words";
import { eaterIn, seedIn } from "../parameters";

interface Props {
  readonly params: Promise<{ readonly exercise: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

const KINDS: readonly ExerciseKind[] = ["stop in time", "what went wrong", "guess the grams"];
const kindOf = (path: string): ExerciseKind => KINDS.find((kind) => PRACTICE_WORDS[kind].path === path) ?? notFound();

export const generateMetadata = async ({ params }: Props) => ({ title: PRACTICE_WORDS[kindOf((await params).exercise)].title });

export default async function Page({ params, searchParams }: Props) {
  const [{ exercise }, parameters, { document }] = await Promise.all([params, searchParams, getEaters()]);
  const kind = kindOf(exercise);
  const seed = seedIn(parameters);
  return <ExercisePage key={seed} kind={kind} exercise={await drawExercise(kind, seed)} eater={eaterIn(parameters, document.eaters)} />;
}
