import type { ProcessConstants } from "../food";
import type { LineId, ReadRecipe, RecipeStep, StepId } from "../recipe";
import { namesIn, type NamedLine } from "./names";
import { sentencesWithout, type SentenceGround } from "./rebuild";
import { say } from "./say";
import type { MethodSentence } from "./step";
import { natureOf } from "./wording";

/** A step's words as far as they hold, with what is said anew in plain names: for reading it again. */
export const plainText = (text: string, sentences: readonly MethodSentence[], lines: readonly NamedLine[]): string =>
  sentences
    .map((sentence) => {
      if (sentence.is === "kept") return text.slice(sentence.from, sentence.to);
      if (sentence.is === "gone") return "";
      return `${say(
        sentence,
        sentence.of.map(({ line, words }) => ({ line, name: `the ${words}`, ...natureOf(lines.find(({ id }) => id === line)?.food ?? null) })),
      )} `;
    })
    .join("");

/** A recipe's steps in which some lines are not named any more, as far as told: struck from their sentences, or these said anew; an emptied step goes. */
export function stepsWithout(
  read: Pick<ReadRecipe, "recipe" | "lines" | "byLine" | "steps" | "structure">,
  gone: ReadonlySet<LineId>,
  where: (step: StepId) => boolean,
  process: ProcessConstants,
): RecipeStep[] {
  const { lines, find } = namesIn(read);
  const ground: SentenceGround = { find, foodOf: new Map(lines.map(({ id, food }) => [id, food] as const)), rowOf: new Map(), process };
  const texts = new Map(
    read.steps.map((step): [StepId, string] => {
      const { text, id } = step.step;
      if (!where(id) || !find(text).some(({ key }) => gone.has(key))) return [id, text];
      const elsewhere = (line: LineId) => read.steps.some((other) => other.step.id !== id && find(other.step.text).some(({ key }) => key === line));
      const takesPart = step.takes.some(({ of }) => of.kind === "component");
      const sentences = sentencesWithout(step, takesPart, gone, elsewhere, ground);
      return [
        id,
        sentences
          .map((sentence) => withEdits(text, sentence, lines))
          .join("")
          .trim(),
      ];
    }),
  );
  return read.recipe.steps.flatMap((step) => {
    const text = texts.get(step.id) ?? step.text;
    return text === "" && step.text.trim() !== "" ? [] : [{ ...step, text }];
  });
}

/** The words of a sentence with what is struck from it left out. */
function withEdits(text: string, sentence: MethodSentence, lines: readonly NamedLine[]): string {
  if (sentence.is !== "kept") return plainText(text, [sentence], lines);
  let [kept, at] = ["", sentence.from];
  for (const { from, to, instead } of sentence.edits) {
    kept += text.slice(at, sentence.from + from) + instead;
    at = sentence.from + to;
  }
  return kept + text.slice(at, sentence.to);
}
