import { ScalePage } from "@/ui/stations/recipe/scale-page";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({
  title: `${(await loadStation(parameters)).recipe.document.title}, for another quantity`,
});

export default async function Page(parameters: StationParams) {
  const { id, recipe, table } = await loadStation(parameters);
  return <ScalePage id={id} recipe={recipe} table={table} />;
}
