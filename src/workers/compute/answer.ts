import type { KitchenSources } from "../../core/kitchen";
import { tableView } from "../../core/views";
import { kitchenOf } from "../../data/kitchen";
import type { ComputeAnswer, ComputeQuestion } from "../protocol";

/** Answers what stations ask, in the kitchen of the documents that came last. */
export function answering(): (question: ComputeQuestion) => ComputeAnswer {
  let sources: KitchenSources | null = null;
  return (question) => {
    sources = question.sources ?? sources;
    if (!sources) throw new Error("Nothing is known of the household yet.");
    return tableView(question.of, kitchenOf(sources));
  };
}
