import { RecipeStation } from "@/ui/stations/recipe/recipe-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, recipe` });

export default async function Page(parameters: StationParams) {
  const { id, recipe, table, onBench } = await loadStation(parameters);
  return <RecipeStation key={id} id={id} recipe={recipe} table={table} bench={onBench} />;
}
