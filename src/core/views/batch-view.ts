import { openRecipe, type Kitchen } from "../kitchen";
import { scaleFactor, type Recipe, type ScaleGoal } from "../recipe";
import { formatNumber } from "../units";

/** A quantity of a recipe that is asked for at its table. */
export interface BatchQuestion {
  readonly recipe: Recipe;
  readonly goal: ScaleGoal;
}
export type BatchAnswer = { readonly kind: "made"; readonly servings: number } | { readonly kind: "refused"; readonly why: string };

/** So many of the recipe's own servings make that quantity. */
export function batchView({ recipe, goal }: BatchQuestion, kitchen: Kitchen): BatchAnswer {
  const scaled = scaleFactor(openRecipe(recipe, kitchen), goal);
  if (scaled.ok) return { kind: "made", servings: scaled.value.factor * recipe.servings };
  switch (scaled.error.kind) {
    case "nothing read":
      return { kind: "refused", why: "No line of the recipe is read yet." };
    case "no such line":
      return { kind: "refused", why: "That line is not read, or goes in by no amount." };
    case "out of bounds":
      return {
        kind: "refused",
        why: `That would be ${formatNumber(Math.round(scaled.error.factor * 100) / 100)} times the recipe; between 0.05 and 50 times can be made.`,
      };
  }
}
