import type { Metadata } from "next";
import { getKitchen } from "@/server/kitchen/kitchen";
import { CueSheet } from "@/ui/places/sheet/cue-sheet";

export const metadata: Metadata = { title: "Cues", robots: { index: false } };

export default async function Page() {
  return <CueSheet tables={(await getKitchen()).cues} />;
}
