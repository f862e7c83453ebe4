import { useCallback } from "react";
import { recipeInput } from "../../../core/adaptation";
import { proposeAmount } from "../../../core/evaluate";
import type { LineId, ReadRecipe } from "../../../core/recipe";
import { useKitchen } from "../../shell/use-kitchen";

export type AmountProposal = NonNullable<ReturnType<typeof proposeAmount>>;

/** For a line that tells no amount: how much would bring the sweet to what is usual for its kind. */
export function useAmountProposal(read: ReadRecipe): (line: LineId) => AmountProposal | null {
  const { constants } = useKitchen().reference;
  return useCallback(
    (line) => {
      const reading = read.byLine.get(line);
      if (reading?.kind !== "amount unknown" || read.lines.length === 0) return null;
      const input = recipeInput(read, { rules: [], limits: [], servings: read.recipe.servings, serve: "hot" });
      return proposeAmount(input, reading.food, reading.role, read.archetype, constants);
    },
    [read, constants],
  );
}
