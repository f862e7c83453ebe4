import { recipeView } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { RecipeStation } from "@/ui/stations/recipe/recipe-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, recipe` });

export default async function Page(parameters: StationParams) {
  const [{ id, recipe, table, onBench }, kitchen] = await Promise.all([loadStation(parameters), getKitchen()]);
  const view = recipeView({ recipe: recipe.document, table: table.document }, kitchen);
  return <RecipeStation key={id} id={id} recipe={recipe} table={table} bench={onBench} view={view} />;
}
