import { benchView } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getHousehold, getHouseRules, getPantry } from "@/server/kitchen/sources";
import { BenchStation } from "@/ui/stations/swap/bench-station";
import { getProposals } from "@/server/recipes/proposals";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, swap` });

export default async function Page(parameters: StationParams) {
  const [{ id, recipe, table, bench }, kitchen, household, pantry, house] = await Promise.all([
    loadStation(parameters),
    getKitchen(),
    getHousehold(),
    getPantry(),
    getHouseRules(),
  ]);
  const proposals = await getProposals(id);
  const revisions = [recipe, table, pantry, house, household].map(({ revision }) => revision);
  const view = benchView({ recipe: recipe.document, table: table.document, bench: bench.document, proposals, revisions, laysFirst: true }, kitchen);
  return (
    <BenchStation
      key={id}
      id={id}
      recipe={recipe}
      table={table}
      bench={bench}
      proposals={proposals}
      view={view}
      today={new Date().toISOString().slice(0, 10)}
    />
  );
}
