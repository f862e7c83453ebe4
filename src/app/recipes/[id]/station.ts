import { notFound } from "next/navigation";
import { getAdaptation, getRecipe } from "@/server/recipes";

export interface StationParams {
  readonly params: Promise<{ readonly id: string }>;
}

/** What every station of a recipe shows from: the recipe, its table, its bench. */
export async function loadStation({ params }: StationParams) {
  const { id } = await params;
  const stored = await getRecipe(id);
  if (!stored) notFound();
  const { table, bench } = await getAdaptation(id, stored.recipe);
  return {
    id,
    given: { recipe: stored.recipe, revision: stored.revision },
    table,
    bench,
    swapState: { state: bench ? "on the bench" : "to come", settled: bench !== null },
  };
}
