import { recipeInput, type StoredBench } from "../adaptation";
import { drawnFigures, explain, type EvaluationInput, type PropertyId, type Working } from "../evaluate";
import { openRecipe, type Kitchen } from "../kitchen";
import type { Figure } from "../numeric";
import type { Recipe } from "../recipe";
import type { DiningTable } from "../table";
import { benchInput } from "./bench-view";

/** Of which sweet a figure is: a recipe's own, one on a bench, or one that was kept. */
export type FigureOf =
  | { readonly kind: "recipe"; readonly recipe: Recipe; readonly table: DiningTable }
  | { readonly kind: "bench"; readonly side: "before" | "after"; readonly recipe: Recipe; readonly table: DiningTable; readonly bench: StoredBench | null }
  | { readonly kind: "kept"; readonly input: EvaluationInput };

/** "Why this figure?" */
export interface WorkingQuestion {
  readonly of: FigureOf;
  readonly id: PropertyId;
}

/** The working of one figure. */
export const workingOf = ({ of, id }: WorkingQuestion, kitchen: Kitchen): Working => explain(inputOf(of, kitchen), id, kitchen.reference.constants);

/** The same for the same sweet. */
const SEED = 17;

/** The interval of one figure by 4,000 draws of all that it is computed from. */
export const drawnOf = ({ of, id }: WorkingQuestion, kitchen: Kitchen): Figure | null =>
  drawnFigures(inputOf(of, kitchen), [id], kitchen.reference.constants, SEED)[0] ?? null;

function inputOf(of: FigureOf, kitchen: Kitchen): EvaluationInput {
  switch (of.kind) {
    case "kept":
      return of.input;
    case "bench":
      return benchInput(of, of.side, kitchen);
    case "recipe":
      return recipeInput(openRecipe(of.recipe, kitchen), { ...of.table, servings: of.recipe.servings });
  }
}
