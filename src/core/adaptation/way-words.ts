import { diffWordsWithSpace } from "diff";
import { textOf, type StepWords } from "../method";
import type { RecipeStep, StepId } from "../recipe";

/** What the household's ways did to a recipe's steps. */
export interface WayChange {
  /** In words: "coconut milk off the heat". */
  readonly what: string;
  readonly steps: readonly StepId[];
}

/** The steps of a version of a recipe in the household's ways, against the recipe as it was handed down: what a way wrote anew is marked, and says which. */
export function withWayWords(words: readonly StepWords[], handedDown: readonly RecipeStep[], changes: readonly WayChange[]): readonly StepWords[] {
  if (changes.length === 0) return words;
  const texts = new Map(handedDown.map(({ id, text }) => [id, text] as const));
  const whyOf = (step: StepId) => changes.filter(({ steps }) => steps.includes(step)).map(({ what }) => `your way: ${what}`);
  const told = words.map((each): StepWords => {
    const ways = each.from === null ? [] : whyOf(each.from);
    if (ways.length === 0 || each.from === null || each.isOwn) return each;
    const why = [...ways, ...(each.why === "" ? [] : [each.why])].join(", ");
    const text = texts.get(each.from);
    if (text === undefined)
      return {
        ...each,
        from: null,
        why,
        segments: each.segments.map(({ kind, text: part }) => ({ text: part, kind: kind === "removed" ? "removed" : "changed" })),
      };
    const segments = diffWordsWithSpace(text, textOf(each)).map(({ value, added, removed }) => ({
      text: value,
      kind: added ? ("changed" as const) : removed ? ("removed" as const) : ("plain" as const),
    }));
    return { ...each, why, segments };
  });
  const there = new Set(words.map(({ step }) => step));
  const order = new Map(handedDown.map(({ id }, i) => [id, i] as const));
  for (const { id, text } of handedDown) {
    const ways = whyOf(id);
    if (there.has(id) || ways.length === 0) continue;
    const place = told.findIndex(({ from }) => from !== null && (order.get(from) ?? 0) > (order.get(id) ?? 0));
    told.splice(place < 0 ? told.length : place, 0, { step: id, from: id, segments: [{ text, kind: "removed" }], why: ways.join(", ") });
  }
  return told;
}
