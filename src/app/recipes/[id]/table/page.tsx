import { fastsAhead } from "@/server/kitchen/calendar";
import { getEaters } from "@/server/kitchen/sources";
import { otherSweetsOf } from "@/server/recipes/recipes";
import { TableStation } from "@/ui/stations/table/table-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, table` });

export default async function Page(parameters: StationParams) {
  const now = new Date().getTime();
  const [{ id, recipe, table, onBench }, ahead, eaters] = await Promise.all([loadStation(parameters), fastsAhead(now), getEaters()]);
  return (
    <TableStation
      key={id}
      id={id}
      recipe={recipe}
      table={table}
      bench={onBench}
      eaters={eaters.document.eaters}
      ahead={ahead}
      today={ahead?.today ?? new Date(now).toISOString().slice(0, 10)}
      otherSweets={await otherSweetsOf(table.document)}
    />
  );
}
