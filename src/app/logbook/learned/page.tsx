import type { Metadata } from "next";
import { learnedView } from "@/core/views";
import { getGains } from "@/server/cook/learned";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getEaters, getPantry } from "@/server/kitchen/sources";
import { LearnedPage } from "@/ui/places/learned/learned-page";

export const metadata: Metadata = { title: "What your batches taught" };

export default async function Page() {
  const [kitchen, pantry, eaters, gains] = await Promise.all([getKitchen(), getPantry(), getEaters(), getGains()]);
  const names = new Map(eaters.document.eaters.map(({ id, name }) => [id, name] as const));
  return <LearnedPage rows={learnedView(kitchen, names, gains)} pressings={pantry.document.pressings.length} />;
}
