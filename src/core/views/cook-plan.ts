import type { CookPlan } from "../cook";
import type { Recipe } from "../recipe";
import type { DiningTable } from "../table";
import type { MethodStepView, MethodView } from "./method-view";

/** A method as it is taken to the stove. */
export function cookPlan({ title }: Pick<Recipe, "title">, { serve }: Pick<DiningTable, "serve">, view: MethodView): CookPlan {
  const known = new Set(view.ready.map(({ id }) => id));
  const shares = (of: MethodStepView["pot"]) => of.filter(({ line }) => known.has(line)).map(({ line, share }) => ({ line, share }));
  const planned =
    (isBefore: boolean) =>
    ({ takes, pot, hazards, ...step }: MethodStepView): CookPlan["steps"][number] => ({
      ...step,
      hazards: hazards.map(({ what, mend }) => ({ what, mend })),
      isBefore,
      takes: shares(takes),
      pot: shares(pot),
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
    lines: view.ready.map(({ id, food, name, grams, measure, role }) => ({ id, food, name, grams, measure, role })),
    tools: view.tools.map(({ name }) => name),
  };
}
