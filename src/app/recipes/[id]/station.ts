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
    recipe: { document: stored.recipe, revision: stored.revision },
    table,
    bench,
    swapState: { state: bench.document ? "on the bench" : "to come", settled: bench.document !== null },
  };
}
