import type { Metadata } from "next";
import { OwnFoodPage } from "@/ui/places/pantry/own-food-page";

export const metadata: Metadata = { title: "A food of your own" };

interface Props {
  readonly searchParams: Promise<{ readonly name?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { name } = await searchParams;
  return <OwnFoodPage id={null} name={typeof name === "string" ? name.slice(0, 100) : ""} />;
}
