import type { Metadata } from "next";
import { PastePage } from "@/ui/places/recipes/paste-page";

export const metadata: Metadata = { title: "Paste a recipe" };

export default function Page() {
  return <PastePage />;
}
