import type { Metadata } from "next";
import { listBatches } from "@/server/cook/batches";
import { BatchesPage } from "@/ui/places/batches/batches-page";
import { dateWords } from "../words";

export const metadata: Metadata = { title: "Batches" };

export default async function Page() {
  const batches = await listBatches();
  return <BatchesPage batches={batches.map(({ begunAt, endedAt, ...batch }) => ({ ...batch, begun: dateWords(begunAt), isOn: endedAt === null }))} />;
}
