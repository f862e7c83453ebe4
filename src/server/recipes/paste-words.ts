import type { PasteProblem } from "../../core/recipe";
import { formatNumber } from "../../core/units";

/** What keeps a pasted text from being a recipe, and how to mend it. */
export function pasteProblemWords(problem: PasteProblem): string {
  switch (problem.kind) {
    case "empty":
      return "There is nothing to read yet. Paste a recipe: a title, ingredient lines, steps.";
    case "too long":
      return `That is ${formatNumber(problem.lines)} lines; a recipe here has at most ${problem.most}. Paste one recipe at a time.`;
    case "long line":
      return `Line ${problem.line} is ${formatNumber(problem.characters)} characters long; at most ${formatNumber(problem.most)}. Give each ingredient and each step a line of its own.`;
    case "over limits":
      return `The recipe is larger than one may be here. ${problem.over.map(({ detail }) => detail).join(" ")}`;
    case "no ingredients":
      return 'No ingredient lines were found. Give each ingredient a line of its own, such as "1 cup fine semolina".';
  }
}
