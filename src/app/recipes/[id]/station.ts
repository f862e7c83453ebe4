import { notFound } from "next/navigation";
import { cache } from "react";
import { getAdaptation, getRecipe } from "@/server/recipes/recipes";

export interface StationParams {
  readonly params: Promise<{ readonly id: string }>;
}

/** What every station of a recipe shows from: the recipe, its table, its bench. */
export const loadStation = async ({ params }: StationParams) => stationOf((await params).id);

/** Once for a page, whose title needs it too. */
const stationOf = cache(async (id: string) => {
  const stored = await getRecipe(id);
  if (!stored) notFound();
  const { table, bench } = await getAdaptation(id, stored.recipe);
  return {
    id,
    recipe: { document: stored.recipe, revision: stored.revision },
    table,
    bench,
    onBench: bench.document ? "on the bench" : null,
  };
});
