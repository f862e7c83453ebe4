import type { KitchenSources } from "../../core/kitchen";
import { viewOf, type ViewAnswer, type ViewKind, type ViewQuestion } from "../../core/views";
import { kitchenOf } from "../../data/kitchen";
import type { ComputeQuestion } from "../protocol";

/** Answers what stations ask. What a question is made of is held by name until it comes anew, so that what rests on it is computed once. */
export function answering(): (question: ComputeQuestion) => ViewAnswer<ViewKind> {
  const held = new Map<string, unknown>();
  return ({ kind, names, fresh }) => {
    for (const [name, value] of Object.entries(fresh)) held.set(name, value);
    const sources = held.get("sources") as KitchenSources | undefined;
    if (!sources) throw new Error("Nothing is known of the household yet.");
    const question = Object.fromEntries(names.map((name) => [name, held.get(name)])) as unknown as ViewQuestion<ViewKind>;
    return viewOf(kind, question, kitchenOf(sources));
  };
}
