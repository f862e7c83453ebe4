import { BenchStation } from "@/ui/stations/swap/bench-station";
import { getProposals } from "@/server/recipes/proposals";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, swap` });

export default async function Page(parameters: StationParams) {
  const { id, recipe, table, bench } = await loadStation(parameters);
  return <BenchStation key={id} id={id} recipe={recipe} table={table} bench={bench} proposals={await getProposals(id)} />;
}
