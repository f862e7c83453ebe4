import type { Metadata } from "next";
import { BeamSheet } from "@/ui/places/sheet/beam-sheet";

export const metadata: Metadata = { title: "Beams", robots: { index: false } };

export default function Page() {
  return <BeamSheet />;
}
