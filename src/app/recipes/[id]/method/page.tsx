import { methodView } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { MethodPage } from "@/ui/places/method/method-page";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, method` });

export default async function Page(parameters: StationParams) {
  const [{ id, recipe, table, bench }, kitchen] = await Promise.all([loadStation(parameters), getKitchen()]);
  return (
    <MethodPage id={id} title={recipe.document.title} view={methodView({ recipe: recipe.document, table: table.document, bench: bench.document }, kitchen)} />
  );
}
