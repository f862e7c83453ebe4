import { TableStation } from "@/ui/pages";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, table` });

export default async function Page(parameters: StationParams) {
  const { id, recipe, table, swapState } = await loadStation(parameters);
  return <TableStation key={id} id={id} recipe={recipe} table={table} swapState={swapState} />;
}
