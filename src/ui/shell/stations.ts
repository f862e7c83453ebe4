import type { ReadRecipe } from "../../core/recipe";
import type { DiningTable } from "../../core/table";
import type { Station } from "./thread";

/** The stations that there are, each with its one-line state. */
export function stationsOf(read: ReadRecipe, table: DiningTable, swap: { readonly state: string; readonly settled: boolean }): Station[] {
  const wishes = table.rules.length + table.limits.length;
  const asked = read.unresolved.length;
  return [
    {
      id: "table",
      name: "Table",
      state: wishes === 0 ? "not set" : `${wishes} ${wishes === 1 ? "wish" : "wishes"}, ${table.servings} servings`,
      settled: wishes > 0,
    },
    { id: "recipe", name: "Recipe", state: asked > 0 ? `${asked} to ask` : `${read.lines.length} lines`, settled: asked === 0 },
    { id: "swap", name: "Swap", ...swap },
  ];
}
