import type { Metadata } from "next";
import { listBatches } from "@/server/cook/batches";
import { BatchesPage } from "@/ui/places/batches/batches-page";
import { batchRow } from "../words";

export const metadata: Metadata = { title: "Batches" };

export default async function Page() {
  const batches = await listBatches();
  return <BatchesPage batches={batches.map(batchRow)} />;
}
