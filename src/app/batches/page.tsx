import type { Metadata } from "next";
import { listBatches } from "@/server/cook/batches";
import { whatGoesOn } from "@/server/cook/going";
import { BatchesPage } from "@/ui/places/batches/batches-page";
import { batchRow, clockWords } from "../words";

export const metadata: Metadata = { title: "Batches" };

export default async function Page() {
  const batches = await listBatches();
  const goesOn = await whatGoesOn(batches, clockWords);
  return <BatchesPage batches={batches.map((batch) => batchRow(batch, goesOn.get(batch.id)))} />;
}
