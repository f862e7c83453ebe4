import type { Metadata } from "next";
import { learnedView } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getPantry } from "@/server/kitchen/sources";
import { LearnedPage } from "@/ui/places/learned/learned-page";

export const metadata: Metadata = { title: "What your batches taught" };

export default async function Page() {
  const [kitchen, pantry] = await Promise.all([getKitchen(), getPantry()]);
  return <LearnedPage rows={learnedView(kitchen)} pressings={pantry.document.pressings.length} />;
}
