import type { Food } from "../food";
import type { Archetype, LineId } from "../recipe";
import type { Version, VersionRow } from "../substitution";
import { withoutDoing } from "./sentences";
import type { MethodSentence } from "./step";

/** Whether what was baked until its egg set has no egg any more, nor anything else that an oven would do something to. */
export function setsWithoutOven({ rows }: Version, lines: readonly { readonly id: LineId; readonly food: Food }[], archetype: Archetype): boolean {
  const hadEgg = lines.some(({ food }) => food.thickening.egg !== undefined);
  const needs = ({ food }: VersionRow) => food !== null && (food.thickening.egg !== undefined || EATEN_BAKED.includes(food.family));
  return archetype === "set pudding" && hadEgg && !rows.some((row) => needs(row) && (row.role === "body" || row.food?.thickening.egg !== undefined));
}
const EATEN_BAKED: readonly Food["family"][] = ["cereal", "pseudo-cereal", "starch", "root", "fruit", "vegetable"];
const BAKES = /\b(?:bake|oven|steam)\b/i;
/** A sentence without its baking; gone where it does nothing else. */
export function notBaked(text: string, sentence: MethodSentence): MethodSentence {
  const words = text.slice(sentence.from, sentence.to);
  if (sentence.is !== "kept" || !BAKES.test(words)) return sentence;
  const edits = withoutDoing(words, BAKES);
  const place = { from: sentence.from, to: sentence.to };
  return edits === null ? { ...place, is: "gone" } : sentence.edits.length > 0 ? sentence : { ...place, is: "kept", edits };
}
