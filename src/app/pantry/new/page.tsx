import type { Metadata } from "next";
import { OwnFoodPage } from "@/ui/places/pantry/own-food-page";

export const metadata: Metadata = { title: "A food of your own" };

export default function Page() {
  return <OwnFoodPage id={null} />;
}
