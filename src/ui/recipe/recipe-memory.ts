import type { Recipe } from "../../core/recipe";

/** The latest of each recipe that this window has saved: going back must not show an older one. */
const memory = new Map<string, { readonly recipe: Recipe; readonly revision: number }>();

export const remember = (id: string, recipe: Recipe, revision: number): void => void memory.set(id, { recipe, revision });

export function latest(id: string, given: { readonly recipe: Recipe; readonly revision: number }): { readonly recipe: Recipe; readonly revision: number } {
  const known = memory.get(id);
  return known && known.revision > given.revision ? known : given;
}
