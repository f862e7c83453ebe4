import { tableView } from "@/core/views";
import { fastsAhead } from "@/server/kitchen/calendar";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getEaters } from "@/server/kitchen/sources";
import { otherSweetsOf } from "@/server/recipes/recipes";
import { TableStation } from "@/ui/stations/table/table-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, table` });

export default async function Page(parameters: StationParams) {
  const now = new Date().getTime();
  const [{ id, recipe, table, onBench }, ahead, eaters, kitchen] = await Promise.all([loadStation(parameters), fastsAhead(now), getEaters(), getKitchen()]);
  const otherSweets = await otherSweetsOf(table.document);
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
      otherSweets={otherSweets}
      view={tableView({ recipe: recipe.document, table: table.document, others: otherSweets }, kitchen)}
    />
  );
}
