import { methodView } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { MethodStation } from "@/ui/stations/method/method-station";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, method` });

export default async function Page(parameters: StationParams) {
  const [{ id, recipe, table, bench, onBench }, kitchen] = await Promise.all([loadStation(parameters), getKitchen()]);
  const view = methodView({ recipe: recipe.document, table: table.document, bench: bench.document }, kitchen);
  return <MethodStation key={id} id={id} recipe={recipe} table={table} bench={bench} onBench={onBench} view={view} />;
}
