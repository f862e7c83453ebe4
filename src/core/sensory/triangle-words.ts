import { triangleResult, type TriangleAim, type TriangleResult } from "./triangle";

/** What was chosen at a triangle test, by whom. */
export interface TriangleChoice {
  readonly name: string;
  readonly isRight: boolean;
  /** Saw the codes, or which cup holds what: it does not count. */
  readonly saw: boolean;
}

/** What a triangle test that is over says, and how far that goes. */
export interface TriangleTold extends TriangleResult {
  readonly isShown: boolean;
  /** What it comes to, in a sentence, and what it rests on. */
  readonly verdict: string;
  readonly rests: string;
  /** What takes from it. */
  readonly but: readonly string[];
}

const percent = (share: number): string => (share > 0 && share < 0.01 ? "less than 1 %" : `${Math.round(100 * share)} %`);

/**
 * What the answers of a triangle test come to, in words: no more than they bear. `tell` is the share of eaters that matters, `planned`
 * how many tests were meant.
 */
export function triangleTold(choices: readonly TriangleChoice[], { aim, tell, planned }: { aim: TriangleAim; tell: number; planned: number }): TriangleTold {
  const counted = choices.filter(({ saw }) => !saw);
  const result = triangleResult(counted.filter(({ isRight }) => isRight).length, counted.length);
  const people = new Set(counted.map(({ name }) => name)).size;
  const { tests, right, p, needed, tellAtMost } = result;
  const isShown = tests > 0 && (aim === "alike" ? tellAtMost <= tell : needed !== null && right >= needed);
  const left = choices.length - tests;
  return {
    ...result,
    isShown,
    verdict: verdictOf(aim, tell, result, isShown, people < tests),
    rests:
      tests === 0
        ? ""
        : `${right} of ${tests} chose the other one. Guessing alone comes to ${right} or more in ${percent(p)} of such tests${needed === null ? "; so few tests show nothing, whatever is chosen" : `; ${needed} were needed to call it told`}. At most ${percent(tellAtMost)} ${people < tests ? "of such cups are told" : "of such eaters can tell"}, 19 times in 20.`,
    but: [
      ...(left > 0 ? [`${left === 1 ? "An answer is" : `${left} answers are`} left out: the codes were seen.`] : []),
      ...(tests < planned ? [`It was planned for ${planned} and ended after ${tests}. Who ends when it looks well finds more than there is.`] : []),
      ...(people < tests
        ? [
            `${people === 1 ? "One person gave" : `${people} people gave`} the ${tests} answers: it holds for ${people === 1 ? "that one" : "them"}, not for others.`,
          ]
        : []),
    ],
  };
}

function verdictOf(aim: TriangleAim, tell: number, { tests, right, needed, tellAtMost }: TriangleResult, isShown: boolean, isRepeated: boolean): string {
  if (tests === 0) return "Nobody answered: nothing is known.";
  if (aim === "alike")
    return isShown
      ? isRepeated
        ? `As good as alike to those who tasted: they tell no more than ${percent(tellAtMost)} of such cups, and ${percent(tell)} were put up with.`
        : `As good as alike: no more than ${percent(tellAtMost)} can tell, and ${percent(tell)} were put up with.`
      : `Not shown to be alike: as many as ${percent(tellAtMost)} ${isRepeated ? "of such cups may be told" : "may tell"}, and no more than ${percent(tell)} were put up with.`;
  if (isShown) return "They are told apart: guessing alone hardly comes to so many.";
  return needed !== null && right < tests / 3
    ? "Nobody was shown to tell them apart: fewer were right than by guessing."
    : "Nobody was shown to tell them apart. That does not show that they are alike.";
}
