import { TableStation } from "@/ui/table/table-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).given.recipe.title}, table` });

export default async function Page(parameters: StationParams) {
  const { id, given, table, swapState } = await loadStation(parameters);
  return <TableStation key={id} id={id} given={given} table={table} swapState={swapState} />;
}
