import { RecipeStation } from "@/ui/recipe/recipe-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).given.recipe.title}, recipe` });

export default async function Page(parameters: StationParams) {
  const { id, given, table, swapState } = await loadStation(parameters);
  return <RecipeStation key={id} id={id} given={given} table={table} swapState={swapState} />;
}
