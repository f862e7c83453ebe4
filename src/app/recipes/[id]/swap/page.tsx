import { BenchStation } from "@/ui/bench/bench-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).given.recipe.title}, swap` });

export default async function Page(parameters: StationParams) {
  const { id, given, table, bench } = await loadStation(parameters);
  return <BenchStation key={id} id={id} given={given} table={table} bench={bench} />;
}
