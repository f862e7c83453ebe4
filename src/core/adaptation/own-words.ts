import type { OwnSteps } from "../method";
import { unlistedInOwnWords, type ReadingContext, type ReadRecipe } from "../recipe";
import type { AdaptationProblem, Version } from "../substitution";

/**
 * A problem with what a maker's own words of its steps name in place of what the recipe's said there: whoever cooks by them has
 * that before them, so that the rules judge it too.
 */
export function withOwnWords(
  problem: AdaptationProblem,
  read: ReadRecipe,
  { rows }: Version,
  own: OwnSteps | undefined,
  find: ReadingContext["find"],
): AdaptationProblem {
  if (!own || own.texts.length === 0) return problem;
  const rewritten = new Set(own.texts.map(({ step }) => step));
  const foods = rows.flatMap(({ line, food, change }) => {
    if (!food) return [];
    const reading = line === null || change === "replaced" ? undefined : read.byLine.get(line);
    return [{ food, names: reading?.kind === "read" ? reading.description : food.name }];
  });
  return {
    ...problem,
    unlisted: [...problem.unlisted.filter(({ step }) => !rewritten.has(step)), ...unlistedInOwnWords(own.texts, foods, read, find)],
  };
}
