import type { CookPlan } from "../cook";
import type { Recipe } from "../recipe";
import type { DiningTable } from "../table";
import type { MethodStepView, MethodView } from "./method-view";

/** A method as it is taken to the stove: nothing of it changes there. */
export function cookPlan({ title }: Pick<Recipe, "title">, { serve }: Pick<DiningTable, "serve">, view: MethodView): CookPlan {
  const planned =
    (isBefore: boolean) =>
    ({ id, text, part, minutes, attention, cue, cues, hazards, atOnce }: MethodStepView): CookPlan["steps"][number] => ({
      id,
      text,
      part,
      minutes,
      attention,
      cue,
      cues,
      hazards: hazards.map(({ what, mend }) => ({ what, mend })),
      atOnce,
      isBefore,
    });
  return {
    title,
    label: view.label,
    servings: view.servings,
    grams: view.grams,
    serve,
    notFor: view.verdict.kind === "not for" ? view.verdict.notFor : [],
    unread: view.thread.asked,
    steps: [...view.before.map(planned(true)), ...view.steps.map(planned(false))],
    ready: view.ready.map(({ name, grams, measure }, i) => ({ id: `food-${i + 1}`, name, grams, measure })),
    tools: view.tools.map(({ name }) => name),
  };
}
